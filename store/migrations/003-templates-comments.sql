-- Projects saved to make others from. What they hold is read and written whole, so it stays one value.
create table templates (
  id text primary key,
  position double precision not null,
  name text not null,
  starts date not null,
  calendar_id text not null references calendars deferrable initially deferred,
  tasks jsonb not null,
  links jsonb not null,
  assignments jsonb not null
);

-- What is said about a task, and who is called upon in it.
create table comments (
  id text primary key,
  position double precision not null,
  task_id text not null references tasks deferrable initially deferred,
  author text not null,
  at text not null,
  text text not null,
  mentions jsonb
);
create index comments_task on comments (task_id);

-- Done work is accepted, or sent back with a reason.
alter table tasks add column review jsonb;
