alter table project add column later varchar(10);
