-- What programs send is kept once, however often it is sent; they sign in with tokens made under a person's name.
create table if not exists event_batch (
  client_key char(36) not null,
  battery_id bigint not null,
  person_id bigint not null,
  kept_at datetime(6) not null,
  primary key (client_key),
  constraint batch_battery foreign key (battery_id) references battery (id),
  constraint batch_person foreign key (person_id) references person (id)
);

create table if not exists api_token (
  id bigint not null auto_increment,
  person_id bigint not null,
  name varchar(60) not null,
  token_hash char(64) not null,
  writes boolean not null,
  made_at datetime(6) not null,
  used_on date null,
  ended_at datetime(6) null,
  primary key (id),
  constraint token_person foreign key (person_id) references person (id),
  constraint token_once unique (token_hash)
);
