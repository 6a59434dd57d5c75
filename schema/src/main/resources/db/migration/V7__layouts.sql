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
