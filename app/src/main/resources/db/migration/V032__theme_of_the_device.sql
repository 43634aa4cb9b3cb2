-- Pages are light or dark as the device has it, unless somebody says otherwise. Day was what everybody had who never chose.
alter table person drop constraint person_theme_known;
alter table person modify theme varchar(6) not null;
alter table person alter column theme set default 'DEVICE';
update person set theme = 'DEVICE' where theme = 'DAY';
alter table person add constraint person_theme_known check (theme in ('DEVICE', 'DAY', 'NIGHT'));
