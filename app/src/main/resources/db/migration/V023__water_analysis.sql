create table if not exists water_analysis (
  id bigint not null auto_increment,
  at datetime(6) not null,
  chloride decimal(7, 2) not null,
  iron decimal(7, 2) not null,
  residue decimal(7, 2) not null,
  person_id bigint not null,
  primary key (id),
  constraint water_analysis_person foreign key (person_id) references person (id)
);
