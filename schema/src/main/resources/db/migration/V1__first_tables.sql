-- Inputs are kept as they came; everything else the application shows is computed from them and the history.

create table project (
  id          bigint generated always as identity primary key,
  name        varchar(200)  not null,
  language    varchar(8)    not null,
  market      varchar(80)   not null,
  currency    varchar(3)    not null,
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
  gathered_at  timestamp with time zone not null
);
create index basket_of_project on basket (project_id);

-- The lines of the basket's present reading: the cells as they stand in the file, joined by U+001F.
create table line (
  basket_id  bigint   not null references basket (id) on delete cascade,
  row_no     integer  not null,
  line_no    integer  not null,
  cells      varchar  not null,
  primary key (basket_id, row_no)
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
  primary key (project_id, seq)
);
