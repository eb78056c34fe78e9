-- Hours of days up to this one are settled and change no more.
alter table settings add column closed_until date;
