-- The same file twice is told by the fingerprint (SHA-256) of its bytes; null for baskets from before.
alter table basket add column fingerprint varchar(64);
-- How the stored lines were read (ReadAs as JSON); null when everything was found from the bytes.
alter table basket add column read_as varchar;
