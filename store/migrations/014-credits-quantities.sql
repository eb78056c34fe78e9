-- An expense may be a credit, and may have been typed as a quantity at a price each.
alter table expenses drop constraint expenses_amount_check;
alter table expenses add column quantity numeric check (quantity >= 0);
alter table expenses add column unit_price numeric;
