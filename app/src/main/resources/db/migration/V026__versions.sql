alter table person add column version int not null default 0;
alter table battery_model add column version int not null default 0;
alter table machine add column version int not null default 0;
alter table battery add column version int not null default 0;
alter table charger add column version int not null default 0;
