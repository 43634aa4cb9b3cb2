-- How large batteries are and how much room machines have for one, mm.
create table model_size (
  model_id bigint not null primary key,
  length_mm smallint not null,
  width_mm smallint not null,
  height_mm smallint not null,
  constraint model_size_model foreign key (model_id) references battery_model (id)
);

create table machine_bay (
  machine_id bigint not null primary key,
  length_mm smallint not null,
  width_mm smallint not null,
  height_mm smallint not null,
  constraint machine_bay_machine foreign key (machine_id) references machine (id)
);
