-- What the manager says to a request for time off: why it was declined, or which other dates would do.
alter table person_time_off add column reason text;
alter table person_time_off add column suggested jsonb;
