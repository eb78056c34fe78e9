-- The key a sender gives an edit: one that comes again, because its answer was lost, is not made twice.
alter table trail add column key text;
create unique index trail_key on trail (key) where key is not null;
