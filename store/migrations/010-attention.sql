-- Signals that wait, notes that went out about them, and which signals are shown at all.
create table snoozes (
  id text primary key,
  position double precision not null,
  signal text not null,
  until date not null,
  reason text not null
);
create table notes (
  id text primary key,
  position double precision not null,
  signal text not null,
  person_id text not null references people deferrable initially deferred,
  by text not null,
  at text not null,
  text text not null
);
alter table settings add column attention jsonb;
