-- People and projects that are gone from lists, and kept in the past.
alter table people add column archived boolean;
alter table projects add column archived boolean;
