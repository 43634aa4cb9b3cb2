create table if not exists ledger_entry (
  id bigint not null auto_increment,
  battery_id bigint not null,
  seq int not null,
  kind varchar(16) not null,
  happened_at datetime(6) not null,
  recorded_at datetime(6) not null,
  person_id bigint not null,
  cell smallint null,
  quantity decimal(10, 2) null,
  corrects_id bigint null,
  payload mediumtext not null,
  previous_hash char(64) not null,
  hash char(64) not null,
  primary key (id),
  constraint ledger_battery foreign key (battery_id) references battery (id),
  constraint ledger_person foreign key (person_id) references person (id),
  constraint ledger_corrects foreign key (corrects_id) references ledger_entry (id),
  constraint ledger_seq_once unique (battery_id, seq),
  constraint ledger_seq_possible check (seq >= 1),
  constraint ledger_kind_known check (kind in (
    'ADDED', 'MOVED', 'ROUND', 'CORRECTION', 'CHARGE_START', 'CHARGE_END', 'DISCHARGE', 'WATER', 'EQUALISE_END', 'WASH', 'NOTE'))
);

create index ledger_by_kind on ledger_entry (battery_id, kind, happened_at);
