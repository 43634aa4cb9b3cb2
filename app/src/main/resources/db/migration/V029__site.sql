-- What the site is called, in what it counts, and what its people must know of it; one row.
create table if not exists site (
  id smallint not null,
  name varchar(80) not null,
  currency varchar(8) not null,
  zone varchar(60) not null,
  fahrenheit boolean not null,
  us_measures boolean not null,
  hazards varchar(1000) not null,
  guides varchar(1000) not null,
  version int not null default 0,
  primary key (id),
  constraint site_one check (id = 1)
);
