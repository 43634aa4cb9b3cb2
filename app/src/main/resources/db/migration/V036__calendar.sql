-- Addresses under which a calendar reads the plan: whoever has one needs no sign-in, so only its hash is kept.
create table if not exists calendar_feed (
  id bigint not null auto_increment,
  token_hash char(64) not null,
  person_id bigint not null,
  whole boolean not null,
  made_at datetime(6) not null,
  ended_at datetime(6) null,
  primary key (id),
  constraint calendar_feed_once unique (token_hash),
  constraint calendar_feed_person foreign key (person_id) references person (id)
);
