-- When machines are needed and people are there, plans as they are searched, taken and done, and what has gone wrong meanwhile.
create table if not exists machine_hours (
  id bigint not null auto_increment,
  machine_id bigint not null,
  weekday tinyint not null,
  from_minute smallint not null,
  until_minute smallint not null,
  ah double null,
  primary key (id),
  constraint machine_hours_machine foreign key (machine_id) references machine (id),
  constraint machine_hours_once unique (machine_id, weekday, from_minute),
  constraint machine_hours_weekday check (weekday between 1 and 7)
);

create table if not exists person_hours (
  id bigint not null auto_increment,
  person_id bigint not null,
  weekday tinyint not null,
  from_minute smallint not null,
  until_minute smallint not null,
  primary key (id),
  constraint person_hours_person foreign key (person_id) references person (id),
  constraint person_hours_once unique (person_id, weekday, from_minute),
  constraint person_hours_weekday check (weekday between 1 and 7)
);

create table if not exists plan_run (
  id bigint not null auto_increment,
  made_at datetime(6) not null,
  made_by bigint null,
  night date null,
  because varchar(300) not null,
  state varchar(10) not null,
  seconds smallint not null,
  from_at datetime(6) not null,
  until_at datetime(6) not null,
  problem longtext not null,
  result longtext null,
  best_unmet int null,
  best_cost double null,
  stop_asked boolean not null,
  fault varchar(600) null,
  ended_at datetime(6) null,
  taken_at datetime(6) null,
  taken_by bigint null,
  primary key (id),
  constraint plan_run_maker foreign key (made_by) references person (id),
  constraint plan_run_taker foreign key (taken_by) references person (id),
  constraint plan_run_one_a_night unique (night),
  constraint plan_run_state check (state in ('WAITING', 'SEARCHING', 'PROPOSED', 'IN_FORCE', 'PAST', 'DROPPED', 'FAILED'))
);

create index plan_run_by_state on plan_run (state, id);

create table if not exists plan_mark (
  id bigint not null auto_increment,
  plan_run_id bigint not null,
  job varchar(120) not null,
  kind varchar(12) not null,
  reason varchar(300) not null,
  said_at datetime(6) not null,
  said_by bigint not null,
  primary key (id),
  constraint plan_mark_run foreign key (plan_run_id) references plan_run (id),
  constraint plan_mark_person foreign key (said_by) references person (id),
  constraint plan_mark_once unique (plan_run_id, job),
  constraint plan_mark_kind check (kind in ('DONE', 'NOT_POSSIBLE'))
);

create table if not exists mishap (
  id bigint not null auto_increment,
  kind varchar(16) not null,
  about varchar(60) not null,
  from_at datetime(6) not null,
  until_at datetime(6) not null,
  amount double null,
  said_at datetime(6) not null,
  said_by bigint not null,
  over_at datetime(6) null,
  primary key (id),
  constraint mishap_person foreign key (said_by) references person (id),
  constraint mishap_kind check (kind in ('CHARGER_DEAD', 'PERSON_AWAY', 'BATTERY_FLAT', 'BATTERY_OUT', 'ONE_MORE'))
);

create index mishap_by_end on mishap (until_at);

-- Of the scheduler, which takes up plans to be searched; one of several instances does each.
create table if not exists scheduled_tasks (
  task_name varchar(100) not null,
  task_instance varchar(100) not null,
  task_data blob null,
  execution_time timestamp(6) not null,
  picked boolean not null,
  picked_by varchar(50) null,
  last_success timestamp(6) null,
  last_failure timestamp(6) null,
  consecutive_failures int null,
  last_heartbeat timestamp(6) null,
  version bigint not null,
  priority smallint null,
  primary key (task_name, task_instance)
);

create index scheduled_by_time on scheduled_tasks (execution_time);
create index scheduled_by_heartbeat on scheduled_tasks (last_heartbeat);
