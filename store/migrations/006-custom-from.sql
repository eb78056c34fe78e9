-- The day a task began when hours were typed on it: they follow it from there.
alter table assignments add column custom_from date;
