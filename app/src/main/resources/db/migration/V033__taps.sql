-- What of lower voltage hangs on some blocks of a pack.
create table tap (
  id bigint not null auto_increment primary key,
  battery_id bigint not null,
  name varchar(60) not null,
  first_block int not null,
  last_block int not null,
  constraint tap_battery foreign key (battery_id) references battery (id),
  constraint tap_named_once unique (battery_id, name)
);
