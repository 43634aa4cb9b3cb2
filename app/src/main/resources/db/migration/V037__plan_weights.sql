-- What a lead lets each part of a plan's cost weigh, and that a battery is not to go on a charger.
create table if not exists plan_weight (
  term varchar(20) not null,
  weight double not null,
  said_at datetime(6) not null,
  said_by bigint not null,
  primary key (term),
  constraint plan_weight_person foreign key (said_by) references person (id),
  constraint plan_weight_range check (weight between 0 and 100000)
);

alter table mishap drop constraint mishap_kind;
alter table mishap add constraint mishap_kind
  check (kind in ('CHARGER_DEAD', 'PERSON_AWAY', 'BATTERY_FLAT', 'BATTERY_OUT', 'ONE_MORE', 'NOT_THERE'));
