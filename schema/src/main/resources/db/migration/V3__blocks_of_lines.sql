-- The lines of a basket's present reading in blocks of some hundred: many rows of a table cost three times as much to
-- write and to read. Blocks of baskets from before are made anew from the basket's bytes when they are first asked for.
drop table line;
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
