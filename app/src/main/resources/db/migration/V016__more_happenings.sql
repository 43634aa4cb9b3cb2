-- What happened to a battery beside its charges: the judge and the imported records tell it too.
/* [jooq ignore start] */
alter table ledger_entry drop constraint ledger_kind_known;
alter table ledger_entry add constraint ledger_kind_known check (kind in (
  'ADDED', 'MOVED', 'ROUND', 'CORRECTION', 'CHARGE_START', 'CHARGE_END', 'DISCHARGE', 'WATER', 'EQUALISE_END', 'WASH', 'NOTE',
  'JOB', 'VOLTAGE', 'STANDING_FLAT', 'CELL_REPLACED', 'TEMPERATURE_MAX'));
/* [jooq ignore stop] */
