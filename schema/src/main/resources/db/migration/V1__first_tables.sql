-- What this database was made by: another version before 1.0 may have other tables under the same names.
create table made_by (
  fingerprint  varchar(64)  not null primary key
);
insert into made_by values ('${fingerprint}');

-- Inputs are kept as they came; everything else the application shows is computed from them and the history.

create table project (
  id          bigint generated always as identity primary key,
  name        varchar(200)  not null,
  language    varchar(8)    not null,
  market      varchar(80)   not null,
  currency    varchar(3)    not null,
  -- The number of the rules by which it is folded, judged and grouped.
  rules       integer       not null,
  -- Grows by one with every act, undo and redo: a page says which version it showed.
  version     bigint        not null default 0,
  created_at  timestamp with time zone not null,
  opened_at   timestamp with time zone not null,
  binned_at   timestamp with time zone
);

create table basket (
  id           bigint generated always as identity primary key,
  project_id   bigint        not null references project (id) on delete cascade,
  name         varchar(300)  not null,
  content      blob          not null,
  size_bytes   bigint        not null,
  -- The reading of the bytes (encoding, delimiter, header, columns) as JSON; null until they have been read.
  reading      varchar       null,
  gathered_at  timestamp with time zone not null,
  -- The same file twice is told by the fingerprint (SHA-256) of its bytes.
  fingerprint  varchar(64)   not null,
  -- How the stored lines were read (ReadAs as JSON); null when everything was found from the bytes.
  read_as      varchar       null
);
create index basket_of_project on basket (project_id);

-- The lines of a basket's present reading in blocks of some hundred: many rows of a table cost three times as much to
-- write and to read.
create table line_block (
  basket_id  bigint   not null references basket (id) on delete cascade,
  block_no   integer  not null,
  -- The number in the file of the block's first line and of its last.
  first_line integer  not null,
  last_line  integer  not null,
  -- Rows between U+001E; in a row its line number and its cells as they stand in the file, between U+001F.
  content    varchar  not null,
  primary key (basket_id, block_no)
);

-- One history for baskets and recipe. Rows are appended; only the mark (state) of a row ever changes.
create table entry (
  project_id  bigint       not null references project (id) on delete cascade,
  seq         bigint       not null,
  kind        varchar(40)  not null,
  format      integer      not null,
  body        varchar      not null,
  state       varchar(10)  not null check (state in ('DONE', 'UNDONE', 'LEFT')),
  -- The project's version that the entry made when it was appended, or when its mark moved last.
  version     bigint       not null,
  acted_at    timestamp with time zone not null,
  -- Who or what made it, and its name if it has one.
  done_by     varchar(20)   not null,
  doer        varchar(200)  default '' not null,
  -- What it changed, in a sentence with figures, as it was told when it was made.
  effect      varchar(2000) default '' not null,
  primary key (project_id, seq)
);

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

-- What the texts of a project's keywords mean to the language model: made once and then read, since another processor may make it
-- a little otherwise. A vector is a byte for each of its places. By project, so that it is deleted with it.
create table meaning (
  project_id  bigint          not null references project (id) on delete cascade,
  text        varchar(400)    not null,
  vector      varbinary(512)  not null,
  primary key (project_id, text)
);
create index meaning_of_text on meaning (text);

-- Layouts of the ad plan that somebody made, for all projects. Every version is kept, and so is a layout that was taken away.
create table plan_layout (
  name        varchar(100)  not null,
  version     integer       not null,
  -- JSON, as docs/layouts.md tells it.
  body        varchar       not null,
  removed     boolean       not null default false,
  saved_at    timestamp with time zone not null,
  primary key (name, version)
);

-- What came when a tool was asked again for a basket: it waits until somebody takes or leaves it, and is no act until then.
create table offer (
  id          bigint generated always as identity primary key,
  project_id  bigint        not null references project (id) on delete cascade,
  -- The basket as it was when it was asked again.
  basket_id   bigint        not null references basket (id) on delete cascade,
  -- What was asked for, as JSON.
  asked       varchar       not null,
  -- The list that would take the basket's place.
  content     blob          not null,
  -- The keywords that are new in it, a line each.
  fresh       varchar       not null,
  state       varchar(10)   not null check (state in ('WAITING', 'TAKEN', 'LEFT')),
  -- Whether it was asked for by a schedule, not by a hand.
  scheduled   boolean       default false not null,
  made_at     timestamp with time zone not null
);
create index offer_of_project on offer (project_id);

-- When a basket is asked again by itself. A row is moved on before its tool runs, so that nothing runs twice.
create table asked_again (
  project_id   bigint   not null references project (id) on delete cascade,
  -- The first version of the basket; newer ones are found by the project's history.
  basket_id    bigint   not null references basket (id) on delete cascade,
  every_days   integer  not null,
  times_left   integer  not null,
  due_at       timestamp with time zone not null,
  -- What the last run came to; empty before the first.
  told         varchar(1000) not null,
  primary key (basket_id)
);

-- What a plan had in it when somebody said that it is exported, to tell later what changed since.
create table exported (
  id          bigint generated always as identity primary key,
  project_id  bigint       not null references project (id) on delete cascade,
  name        varchar(200) not null,
  -- The place in the history of the last act that was made before.
  point       bigint       not null,
  rows_count  integer      not null,
  -- Its rows, packed.
  content     blob         not null,
  removed     boolean      default false not null,
  exported_at   timestamp with time zone not null
);
create index exported_of_project on exported (project_id);
