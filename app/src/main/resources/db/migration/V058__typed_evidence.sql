-- What a finding rests on is kept as a record of its kind: what was folded by the one before is folded anew.
delete from battery_state;
