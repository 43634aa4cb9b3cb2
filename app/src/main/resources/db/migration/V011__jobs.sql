create table if not exists job (
  id bigint not null auto_increment,
  procedure_id varchar(40) not null,
  version int not null,
  text mediumtext not null,
  room_id bigint not null,
  battery_id bigint null,
  machine_id bigint null,
  begun_at datetime(6) not null,
  begun_by bigint not null,
  status varchar(8) not null,
  open_key varchar(80) null,
  ended_at datetime(6) null,
  ledger_entry_id bigint null,
  primary key (id),
  constraint job_room foreign key (room_id) references room (id),
  constraint job_battery foreign key (battery_id) references battery (id),
  constraint job_machine foreign key (machine_id) references machine (id),
  constraint job_begun_by foreign key (begun_by) references person (id),
  constraint job_ledger foreign key (ledger_entry_id) references ledger_entry (id),
  constraint job_one_open unique (open_key),
  constraint job_status_known check (status in ('RUNNING', 'PAUSED', 'STOPPED', 'FINISHED')),
  constraint job_open_or_ended check ((open_key is null) = (status = 'FINISHED') and (ended_at is null) = (open_key is not null))
);

create index job_by_battery on job (battery_id, begun_at);
create index job_by_status on job (status, begun_at);

create table if not exists job_event (
  id bigint not null auto_increment,
  job_id bigint not null,
  seq int not null,
  client_key varchar(80) not null,
  happened_at datetime(6) not null,
  person_id bigint not null,
  kind varchar(16) not null,
  about varchar(60) not null,
  value text not null,
  primary key (id),
  constraint event_job foreign key (job_id) references job (id),
  constraint event_person foreign key (person_id) references person (id),
  constraint event_seq_once unique (job_id, seq),
  constraint event_once unique (client_key),
  constraint event_kind_known check (kind in (
    'DONE', 'SKIPPED', 'TAKEN_BACK', 'TIMER_STARTED', 'ROW', 'PAUSED', 'RESUMED', 'HANDED_OVER', 'STOPPED', 'GATE_OVERRIDDEN',
    'FINISHED'))
);

create table if not exists override_seen (
  job_event_id bigint not null,
  person_id bigint not null,
  seen_at datetime(6) not null,
  primary key (job_event_id),
  constraint override_event foreign key (job_event_id) references job_event (id),
  constraint override_person foreign key (person_id) references person (id)
);

create table if not exists procedure_addition (
  id bigint not null auto_increment,
  procedure_id varchar(40) not null,
  kind varchar(9) not null,
  after_step varchar(40) null,
  text varchar(400) not null,
  reason varchar(400) not null,
  added_at datetime(6) not null,
  added_by bigint not null,
  ended_at datetime(6) null,
  ended_by bigint null,
  primary key (id),
  constraint addition_added_by foreign key (added_by) references person (id),
  constraint addition_ended_by foreign key (ended_by) references person (id),
  constraint addition_kind_known check (kind in ('STEP', 'CAUTION', 'REFERENCE')),
  constraint addition_reasoned check (char_length(reason) >= 3 and char_length(text) >= 3)
);

/* [jooq ignore start] */
create trigger if not exists job_event_stays before update on job_event for each row
  signal sqlstate '45000' set message_text = 'What happened in a job is append-only: take it back by another event';

create trigger if not exists job_event_remains before delete on job_event for each row
  signal sqlstate '45000' set message_text = 'What happened in a job is append-only: take it back by another event';
/* [jooq ignore stop] */
