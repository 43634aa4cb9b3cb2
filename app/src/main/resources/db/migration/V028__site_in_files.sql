-- A place has a code of its own, by which files and people name it; it may be on an upper tier.
alter table slot add column code varchar(80) null;

alter table slot add column tier smallint not null default 1;

/* [jooq ignore start] */
update slot s join stand t on t.id = s.stand_id join room r on r.id = t.room_id
  join (select stand.name, slot.number, count(*) as places from slot join stand on stand.id = slot.stand_id
    group by stand.name, slot.number) named on named.name = t.name and named.number = s.number
  set s.code = if(named.places = 1, concat(t.name, ' ', s.number), concat(r.code, ' ', t.code, ' ', s.number));
/* [jooq ignore stop] */

alter table slot modify column code varchar(80) not null;

alter table slot add constraint slot_code_once unique (code);

-- What the air of a room is worked out with; null where nobody has said.
alter table room add column height_cm smallint null;

alter table room add column volume_m3 decimal(8, 1) null;

alter table room add column fan_m3_h int null;

-- A charger hangs over a place, or goes with its machine, or stands where nobody has said.
alter table charger modify column slot_id bigint null;

alter table charger add column on_board boolean not null default false;

alter table charger add column machine_id bigint null;

alter table charger add constraint charger_machine foreign key (machine_id) references machine (id);

alter table charger add constraint charger_machine_once unique (machine_id);

alter table charger add constraint charger_in_one_place check (slot_id is null or machine_id is null);

-- Files name what a later file brings: kept until it is there.
create table if not exists awaited (
  what varchar(8) not null,
  holder varchar(80) not null,
  named varchar(80) not null,
  primary key (what, holder),
  constraint awaited_known check (what in ('CHARGER', 'MACHINE', 'OWNER'))
);

alter table import_file drop constraint import_kind_known;

alter table import_file add constraint import_kind_known check (
  kind in ('ROUNDS', 'EVENTS', 'FLEET'));
