-- Counts what ends the sessions of a person: another role, another password, no more signing in.
alter table person add column access_version int not null default 0;
