-- What sits on a pack beside its blocks, cables and taps: at a cable's number or a post.
create table pack_fitting (
  battery_id bigint not null,
  kind varchar(20) not null,
  at_place varchar(10) not null,
  primary key (battery_id, kind, at_place),
  constraint pack_fitting_battery foreign key (battery_id) references battery (id),
  constraint pack_fitting_kind check (kind in ('MAIN_SWITCH', 'FUSE', 'SENSE_LEAD', 'SHROUD'))
);
