-- Whose rules of folding and merging a project was made under; those from before keep the first.
alter table project add column edition integer default 1 not null;
