-- The pantry: word lists that projects share. A changed list is a new version; projects name the version they have taken.
create table word_list (
  name        varchar(100)  not null,
  version     integer       not null,
  language    varchar(8)    not null,
  kind        varchar(40)   not null,
  -- Words and phrases, tidy, one a line.
  words       varchar       not null,
  saved_at    timestamp with time zone not null,
  primary key (name, version)
);
-- Lists that were taken away stay here until they are put back.
create table removed_list (
  name        varchar(100)  not null primary key
);
