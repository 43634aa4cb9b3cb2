create table if not exists rule_change (
  id bigint not null auto_increment,
  rule_key varchar(60) not null,
  model_id bigint null,
  value decimal(8, 2) null,
  reason varchar(400) not null,
  person_id bigint not null,
  changed_at datetime(6) not null,
  primary key (id),
  constraint rule_change_model foreign key (model_id) references battery_model (id),
  constraint rule_change_person foreign key (person_id) references person (id),
  constraint rule_change_reasoned check (char_length(reason) >= 3)
);

create index rule_change_by_key on rule_change (rule_key, id);

create table if not exists battery_state (
  battery_id bigint not null,
  round_id bigint null,
  round_taken_at datetime(6) null,
  severity varchar(5) not null,
  verdict mediumtext not null,
  judged_at datetime(6) not null,
  rules_revision bigint not null,
  water_at datetime(6) null,
  charge_start_at datetime(6) null,
  charge_end_at datetime(6) null,
  equalise_end_at datetime(6) null,
  discharge_at datetime(6) null,
  charges_since_water int not null,
  primary key (battery_id),
  constraint state_battery foreign key (battery_id) references battery (id),
  constraint state_round foreign key (round_id) references round (id),
  constraint state_severity_known check (severity in ('FIT', 'WATCH', 'ACT', 'STOP'))
);
