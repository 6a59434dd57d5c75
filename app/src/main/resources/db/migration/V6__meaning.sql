-- What texts mean to the language model, by text: made once and then read, since another processor may make it a little
-- otherwise. A vector is a byte for each of its places.
create table meaning (
  text    varchar(400)    not null primary key,
  vector  varbinary(512)  not null
);
