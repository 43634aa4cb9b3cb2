-- A file that was looked at and waits for the word to take it in.
create table if not exists import_file (
  id bigint not null auto_increment,
  kind varchar(8) not null,
  name varchar(120) not null,
  content longblob not null,
  uploaded_at datetime(6) not null,
  uploaded_by bigint not null,
  primary key (id),
  constraint import_uploaded_by foreign key (uploaded_by) references person (id),
  constraint import_kind_known check (kind in ('ROUNDS', 'EVENTS'))
);
