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
