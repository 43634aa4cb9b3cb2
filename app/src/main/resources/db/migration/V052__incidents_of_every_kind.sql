-- An incident is more than a spill, and need not have been a job.
alter table incident modify column job_id bigint null;

alter table incident add column version int not null default 0;

alter table incident add column kind varchar(20) not null default 'SPILL';

alter table incident add column happened_at datetime(6) null;

alter table incident add column battery_id bigint null;

alter table incident add column what varchar(1000) not null default '';

alter table incident add column aid varchar(1000) not null default '';

/* [jooq ignore start] */
update incident i join job j on j.id = i.job_id set i.happened_at = j.begun_at, i.battery_id = j.battery_id, i.what = i.cause;
/* [jooq ignore stop] */

alter table incident modify column happened_at datetime(6) not null;

alter table incident add constraint incident_battery foreign key (battery_id) references battery (id);

alter table incident add constraint incident_kind
  check (kind in ('SPILL', 'ACID_ON_PERSON', 'GAS', 'FIRE', 'CURRENT', 'LIFTING', 'OTHER'));

alter table incident drop constraint incident_closed_whole;

alter table incident add constraint incident_closed_by_whom check (reviewed_at is null or reviewed_by is not null);

alter table incident add constraint incident_kit_filled
  check (reviewed_at is null or kind <> 'SPILL' or kit_refilled_on is not null);

-- What a form that is sent twice is known by.
alter table incident add column form_key varchar(36) null;

alter table incident add constraint incident_form_once unique (form_key);

alter table photo add column incident_id bigint null;

alter table photo add constraint photo_incident foreign key (incident_id) references incident (id);

alter table photo add constraint photo_of_incident_once unique (incident_id, sha256);
