-- The number of a battery's last line beside the battery itself: lists of thousands ask for it, and in the ledger each is a search of its own.
alter table battery add column last_line int not null default 0;

/* [jooq ignore start] */
update battery set last_line = coalesce((select max(seq) from ledger_entry where battery_id = battery.id), 0);
/* [jooq ignore stop] */
