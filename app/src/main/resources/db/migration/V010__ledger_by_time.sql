create index ledger_by_time on ledger_entry (happened_at, id);
