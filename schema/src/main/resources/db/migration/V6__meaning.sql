-- What the texts of a project's keywords mean to the language model: made once and then read, since another processor may make it
-- a little otherwise. A vector is a byte for each of its places. By project, so that it is deleted with it.
create table meaning (
  project_id  bigint          not null references project (id) on delete cascade,
  text        varchar(400)    not null,
  vector      varbinary(512)  not null,
  primary key (project_id, text)
);
create index meaning_of_text on meaning (text);
