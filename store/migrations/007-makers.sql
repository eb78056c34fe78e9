-- Whose step it is: an id that a browser keeps, so that everyone undoes their own steps alone.
alter table trail add column maker text;
create index trail_of_revision on trail (of_revision);
