-- In which language pages speak to a person; whoever is new begins with that of the site.
alter table person add column language varchar(20) not null default 'ENGLISH';
alter table site add column language varchar(20) not null default 'ENGLISH';
