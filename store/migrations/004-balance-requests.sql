-- Ways of looking at a screen that were given a name.
create table views (
  id text primary key,
  position double precision not null,
  name text not null,
  screen text not null,
  query text not null
);

-- Overloads that are known and left, until a day.
create table acceptances (
  id text primary key,
  position double precision not null,
  person_id text not null references people deferrable initially deferred,
  starts date not null,
  ends date not null,
  reason text not null,
  check (ends >= starts)
);

-- Work that a lead asks for, with every step of it.
create table requests (
  id text primary key,
  position double precision not null,
  task_id text not null references tasks deferrable initially deferred,
  assignment_id text references assignments deferrable initially deferred,
  role_id text references roles deferrable initially deferred,
  person_id text references people deferrable initially deferred,
  hours numeric not null check (hours >= 0),
  state text not null check (state in ('asked', 'offered', 'confirmed', 'declined')),
  offered_id text references people deferrable initially deferred,
  note text,
  history jsonb not null
);
