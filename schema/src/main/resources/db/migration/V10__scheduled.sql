-- Whether what waits was asked for by a schedule, not by a hand.
alter table offer add column scheduled boolean default false not null;
