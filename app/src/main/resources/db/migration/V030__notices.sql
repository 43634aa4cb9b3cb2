-- How alarms reach a person who does not look, and what was sent.
create table if not exists notice_rule (
  id bigint not null auto_increment,
  person_id bigint not null,
  way varchar(8) not null,
  address varchar(300) not null,
  kinds varchar(300) not null,
  from_minute smallint not null,
  until_minute smallint not null,
  after_minutes smallint not null,
  made_at datetime(6) not null,
  ended_at datetime(6) null,
  primary key (id),
  constraint notice_person foreign key (person_id) references person (id),
  constraint notice_way_known check (way in ('MAIL', 'WEBHOOK'))
);

create table if not exists notice (
  id bigint not null auto_increment,
  alarm_id bigint not null,
  rule_id bigint not null,
  begun_at datetime(6) not null,
  tries smallint not null,
  next_at datetime(6) null,
  sent_at datetime(6) null,
  fault varchar(300) null,
  primary key (id),
  constraint notice_once unique (alarm_id, rule_id),
  constraint notice_alarm foreign key (alarm_id) references alarm (id),
  constraint notice_rule_known foreign key (rule_id) references notice_rule (id)
);

create index notice_by_time on notice (begun_at);
