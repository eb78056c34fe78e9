-- Changes that are tried out on top of the plan, in their order, without being made.
create table sketches (
  id text primary key,
  position double precision not null,
  name text not null,
  by text not null,
  at text not null,
  edits jsonb not null
);
