/* [jooq ignore start] */
alter table ledger_entry drop constraint ledger_kind_known;
alter table ledger_entry add constraint ledger_kind_known check (kind in (
  'ADDED', 'MOVED', 'ROUND', 'CORRECTION', 'CHARGE_START', 'CHARGE_END', 'DISCHARGE', 'WATER', 'EQUALISE_END', 'WASH', 'NOTE',
  'JOB', 'VOLTAGE', 'STANDING_FLAT', 'CELL_REPLACED', 'CELL_MARKED', 'CELL_BRIDGED', 'BLOCKS_MOVED', 'TEMPERATURE_MAX',
  'DREW_OFF', 'LEVEL', 'TEMPERATURE', 'ACID_ADJUSTED', 'CHARGER_CHECKED', 'DEFECT', 'DEFECT_RIGHTED', 'HELD', 'RELEASED',
  'COMMISSIONED', 'STORED', 'RETIRED', 'CAPACITY', 'SIGNED', 'KIT_FITTED', 'KIT_LOOKED_AT', 'KIT_TAKEN_OFF'));
/* [jooq ignore stop] */
