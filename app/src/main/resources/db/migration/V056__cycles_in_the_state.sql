-- The state knows since when charges are on record: what was folded before is folded anew.
delete from battery_state;
