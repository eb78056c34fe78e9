-- People, projects and tasks that evening out leaves as they are.
alter table people add column locked boolean;
alter table projects add column locked boolean;
alter table tasks add column locked boolean;
