alter table charger add column kind varchar(20) not null default 'TAPER_WITH_FINISH';

alter table charger add column voltages varchar(80) not null default '';

alter table charger add column chemistries varchar(40) not null default 'FLOODED';

alter table charger add column connector varchar(40) not null default '';

alter table charger add column least_ah smallint null;

alter table charger add column most_ah smallint null;

alter table charger add column senses_from_mv smallint not null default 1600;

alter table charger add column opportunity boolean not null default false;

alter table battery_model add column connector varchar(40) not null default '';

alter table battery_model add column opportunity boolean not null default false;

create table if not exists charge_school (
  machine_kind varchar(20) not null,
  charge_kind varchar(20) not null,
  primary key (machine_kind),
  constraint charge_school_known check (charge_kind in ('CONVENTIONAL', 'OPPORTUNITY', 'AFTER_USE'))
);
