-- Work that a client asks for, before it is a project; and whether anyone may send such an enquiry.
create table enquiries (
  id text primary key,
  position double precision not null,
  name text not null,
  purpose text,
  contact jsonb not null,
  client_id text,
  wished_start date,
  wished_finish date,
  value numeric check (value >= 0),
  template_id text,
  hours jsonb,
  state text not null check (state in ('received', 'accepted', 'approved', 'declined')),
  project_id text,
  history jsonb not null
);
alter table settings add column enquiry_form boolean;
