/* [jooq ignore start] */
create trigger if not exists ledger_entry_stays before update on ledger_entry for each row
  signal sqlstate '45000' set message_text = 'The ledger is append-only: write a correction';

create trigger if not exists ledger_entry_remains before delete on ledger_entry for each row
  signal sqlstate '45000' set message_text = 'The ledger is append-only: write a correction';

create trigger if not exists cell_reading_stays before update on cell_reading for each row
  signal sqlstate '45000' set message_text = 'Readings are append-only: write a correction';

create trigger if not exists cell_reading_remains before delete on cell_reading for each row
  signal sqlstate '45000' set message_text = 'Readings are append-only: write a correction';

create trigger if not exists round_value_stays before update on round_value for each row
  signal sqlstate '45000' set message_text = 'Kept values are append-only';

create trigger if not exists round_value_remains before delete on round_value for each row
  signal sqlstate '45000' set message_text = 'Kept values are append-only';
/* [jooq ignore stop] */
