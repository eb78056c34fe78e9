-- The plan's lists as tables. Foreign keys are checked at the end of a transaction, so that rows may come in any order.

create table settings (
  only_row boolean primary key default true check (only_row),
  name text not null,
  currency text not null check (currency ~ '^[A-Z]{3}$'),
  week_starts_on integer check (week_starts_on between 1 and 7),
  plan_start date not null,
  plan_end date not null,
  today date,
  fiscal_year_start_month integer check (fiscal_year_start_month between 1 and 12),
  hours_per_fte_week numeric check (hours_per_fte_week > 0),
  level_band jsonb,
  margin_target numeric,
  tax_in_cost boolean,
  check (plan_end >= plan_start)
);

create table exchange_rates (
  position integer primary key,
  currency text not null,
  starts date not null,
  rate numeric not null check (rate > 0)
);

create table calendars (
  id text primary key,
  position double precision not null,
  name text not null,
  week numeric[] not null check (cardinality(week) = 7)
);
create table calendar_exceptions (
  parent_id text not null references calendars on delete cascade deferrable initially deferred,
  position integer not null,
  starts date not null,
  ends date not null,
  hours numeric not null check (hours between 0 and 24),
  name text not null,
  primary key (parent_id, position),
  check (ends >= starts)
);

create table roles (
  id text primary key,
  position double precision not null,
  name text not null
);

create table skills (
  id text primary key,
  position double precision not null,
  name text not null,
  skill_group text
);

create table people (
  id text primary key,
  position double precision not null,
  name text not null,
  email text,
  calendar_id text not null references calendars deferrable initially deferred,
  employed_from date,
  employed_to date,
  location text,
  kind text check (kind in ('employee', 'contractor')),
  check (employed_to >= employed_from)
);
create table person_roles (
  parent_id text not null references people on delete cascade deferrable initially deferred,
  position integer not null,
  role_id text not null references roles deferrable initially deferred,
  primary key (parent_id, position),
  unique (parent_id, role_id)
);
create table person_skills (
  parent_id text not null references people on delete cascade deferrable initially deferred,
  position integer not null,
  skill_id text not null references skills deferrable initially deferred,
  level integer not null check (level between 1 and 5),
  primary key (parent_id, position),
  unique (parent_id, skill_id)
);
create table person_patterns (
  parent_id text not null references people on delete cascade deferrable initially deferred,
  position integer not null,
  starts date not null,
  ends date,
  week numeric[] not null check (cardinality(week) = 7),
  primary key (parent_id, position),
  check (ends >= starts)
);
create table person_time_off (
  parent_id text not null references people on delete cascade deferrable initially deferred,
  position integer not null,
  id text not null,
  starts date not null,
  ends date not null,
  hours_per_day numeric check (hours_per_day between 0 and 24),
  kind text not null check (kind in ('holiday', 'sick', 'training', 'other')),
  state text not null check (state in ('requested', 'approved', 'declined')),
  note text,
  primary key (parent_id, position),
  unique (parent_id, id),
  check (ends >= starts)
);
create table person_overtime (
  parent_id text not null references people on delete cascade deferrable initially deferred,
  position integer not null,
  id text not null,
  starts date not null,
  ends date not null,
  hours_per_day numeric not null check (hours_per_day between 0 and 24),
  primary key (parent_id, position),
  unique (parent_id, id),
  check (ends >= starts)
);

create table clients (
  id text primary key,
  position double precision not null,
  name text not null
);

create table materials (
  id text primary key,
  position double precision not null,
  name text not null,
  unit text not null
);

create table rate_tables (
  id text primary key,
  position double precision not null,
  name text not null,
  kind text not null check (kind in ('cost', 'bill')),
  currency text
);
create table rate_entries (
  parent_id text not null references rate_tables on delete cascade deferrable initially deferred,
  position integer not null,
  person_id text references people deferrable initially deferred,
  role_id text references roles deferrable initially deferred,
  material_id text references materials deferrable initially deferred,
  starts date,
  rate numeric not null check (rate >= 0),
  overtime_rate numeric check (overtime_rate >= 0),
  per_use numeric check (per_use >= 0),
  primary key (parent_id, position),
  check (num_nonnulls(person_id, role_id, material_id) <= 1)
);

create table projects (
  id text primary key,
  position double precision not null,
  name text not null,
  code text,
  client_id text references clients deferrable initially deferred,
  category text,
  lead_id text references people deferrable initially deferred,
  calendar_id text not null references calendars deferrable initially deferred,
  stage text not null check (stage in ('idea', 'pipeline', 'approved', 'active', 'done', 'cancelled')),
  probability numeric check (probability between 0 and 100),
  priority integer check (priority between 1 and 5),
  starts date not null,
  deadline date,
  cost_table_id text references rate_tables deferrable initially deferred,
  bill_table_id text references rate_tables deferrable initially deferred,
  billing jsonb,
  budget numeric check (budget >= 0),
  margin_target numeric,
  description text
);

create table teams (
  id text primary key,
  position double precision not null,
  name text not null,
  handle text not null,
  parent_id text references teams deferrable initially deferred,
  project_id text references projects deferrable initially deferred,
  description text
);
create table team_members (
  parent_id text not null references teams on delete cascade deferrable initially deferred,
  position integer not null,
  person_id text not null references people deferrable initially deferred,
  primary key (parent_id, position),
  unique (parent_id, person_id)
);

create table tasks (
  id text primary key,
  position double precision not null,
  project_id text not null references projects deferrable initially deferred,
  parent_id text references tasks deferrable initially deferred,
  name text not null,
  sizing text check (sizing in ('dates', 'duration', 'effort')),
  starts date,
  finishes date,
  duration_days numeric check (duration_days >= 0),
  effort_hours numeric check (effort_hours >= 0),
  role_id text references roles deferrable initially deferred,
  calendar_id text references calendars deferrable initially deferred,
  priority integer check (priority between 1 and 5),
  percent_complete numeric check (percent_complete between 0 and 100),
  state text check (state in ('notStarted', 'underWay', 'done')),
  at_risk boolean,
  not_before date,
  not_after date,
  finish_not_before date,
  finish_not_after date,
  deadline date,
  stagger_days numeric check (stagger_days >= 0),
  fixed_cost numeric check (fixed_cost >= 0),
  fixed_cost_accrual text check (fixed_cost_accrual in ('start', 'even', 'end')),
  tags text[],
  notes text,
  check (finishes >= starts)
);
create index tasks_project on tasks (project_id);
create index tasks_parent on tasks (parent_id);
create table task_skills (
  parent_id text not null references tasks on delete cascade deferrable initially deferred,
  position integer not null,
  skill_id text not null references skills deferrable initially deferred,
  level integer not null check (level between 1 and 5),
  primary key (parent_id, position),
  unique (parent_id, skill_id)
);

create table links (
  id text primary key,
  position double precision not null,
  starts text not null references tasks deferrable initially deferred,
  ends text not null references tasks deferrable initially deferred,
  kind text not null check (kind in ('FS', 'SS', 'FF', 'SF')),
  lag_days numeric,
  elapsed boolean
);
create index links_starts on links (starts);
create index links_ends on links (ends);

create table assignments (
  id text primary key,
  position double precision not null,
  task_id text not null references tasks deferrable initially deferred,
  person_id text references people deferrable initially deferred,
  team_id text references teams deferrable initially deferred,
  material_id text references materials deferrable initially deferred,
  role_id text references roles deferrable initially deferred,
  hours numeric check (hours >= 0),
  percent numeric check (percent >= 0),
  hours_per_day numeric check (hours_per_day between 0 and 24),
  hours_per_week numeric check (hours_per_week between 0 and 168),
  is_custom boolean,
  shape text check (shape in ('even', 'early', 'late', 'peak')),
  starts date,
  ends date,
  firmness text check (firmness in ('pencilled', 'asked', 'confirmed')),
  quantity numeric check (quantity >= 0),
  quantity_per_day numeric check (quantity_per_day >= 0),
  waste_percent numeric check (waste_percent >= 0),
  accrual text check (accrual in ('start', 'even', 'end')),
  check (ends >= starts),
  check (num_nonnulls(person_id, team_id, material_id) <= 1),
  check (num_nonnulls(person_id, team_id, material_id, role_id) >= 1)
);
create index assignments_task on assignments (task_id);
create index assignments_person on assignments (person_id);
create table assignment_buckets (
  parent_id text not null references assignments on delete cascade deferrable initially deferred,
  position integer not null,
  starts date not null,
  ends date not null,
  hours numeric not null check (hours >= 0),
  primary key (parent_id, position),
  check (ends >= starts)
);

create table expenses (
  id text primary key,
  position double precision not null,
  project_id text not null references projects deferrable initially deferred,
  task_id text references tasks deferrable initially deferred,
  name text not null,
  supplier text,
  amount numeric not null check (amount >= 0),
  tax_percent numeric check (tax_percent between 0 and 100),
  on_date date,
  starts date,
  ends date,
  cost_type text not null check (cost_type in ('externalLabour', 'software', 'hardware', 'travel', 'material', 'other')),
  treatment text check (treatment in ('capital', 'operating')),
  state text check (state in ('planned', 'committed', 'paid')),
  check (ends >= starts)
);

-- Who did what, when; undo and redo name the revision they are about. The newest row is the plan's revision.
create table trail (
  revision integer primary key,
  at timestamptz not null,
  actor text not null,
  kind text not null check (kind in ('edit', 'undo', 'redo', 'replace')),
  of_revision integer references trail deferrable initially deferred,
  words text not null,
  edit jsonb,
  changes jsonb not null
);
