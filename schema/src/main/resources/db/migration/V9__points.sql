-- What an act changed, in a sentence with figures, as it was told when it was made; empty for acts from before.
alter table entry add column effect varchar(2000) default '' not null;

-- What a plan had in it when somebody said that it is served, to tell later what changed since.
create table served (
  id          bigint generated always as identity primary key,
  project_id  bigint       not null references project (id) on delete cascade,
  name        varchar(200) not null,
  -- The place in the history of the last act that was made before.
  point       bigint       not null,
  rows_count  integer      not null,
  -- Its rows, packed.
  content     blob         not null,
  removed     boolean      default false not null,
  served_at   timestamp with time zone not null
);
create index served_of_project on served (project_id);
