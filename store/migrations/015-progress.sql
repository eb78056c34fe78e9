-- What happened: recorded hours, days on which work began and ended, what is left, booked amounts; and the plan as it was promised.
alter table projects add column tracking text check (tracking in ('planned', 'recorded'));
alter table tasks add column actual_start date;
alter table tasks add column actual_finish date;
alter table assignments add column remaining jsonb;
create table time_entries (
  id text primary key,
  position double precision not null,
  person_id text not null references people deferrable initially deferred,
  on_date date not null,
  hours numeric not null check (hours > 0 and hours <= 24),
  task_id text references tasks deferrable initially deferred,
  activity text,
  state text not null check (state in ('draft', 'submitted', 'approved', 'returned')),
  note text,
  reason text,
  check ((task_id is null) <> (activity is null))
);
create table actual_costs (
  id text primary key,
  position double precision not null,
  project_id text not null references projects deferrable initially deferred,
  task_id text references tasks deferrable initially deferred,
  expense_id text references expenses deferrable initially deferred,
  on_date date not null,
  amount numeric not null,
  cost_type text not null check (cost_type in ('externalLabour', 'software', 'hardware', 'travel', 'material', 'other')),
  supplier text,
  reference text,
  note text
);
create table baselines (
  id text primary key,
  position double precision not null,
  name text not null,
  taken_on date not null,
  note text,
  tasks jsonb not null,
  projects jsonb not null
);
