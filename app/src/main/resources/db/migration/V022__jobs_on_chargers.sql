alter table job add column charger_id bigint null;

alter table job add column charge_kind varchar(12) null;

alter table job add constraint job_charger foreign key (charger_id) references charger (id);

alter table training drop constraint training_kind_known;

alter table training add constraint training_kind_known check (
  kind in ('BATTERY_CARE', 'CHANGING', 'CELL_REPAIR', 'AIRCRAFT', 'SPILL_LEADER', 'ACID_WORK'));
