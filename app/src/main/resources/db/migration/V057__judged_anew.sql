-- The judge believes more and concludes otherwise: what was folded by the one before is folded anew.
delete from battery_state;
