-- What a project may cost by kind, within its budget as a whole.
alter table projects add column budget_by_kind jsonb;
