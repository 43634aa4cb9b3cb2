-- A picture belongs to a job, to a defect or to a round.
alter table photo modify column job_id bigint null;

alter table photo add column defect_id bigint null;

alter table photo add column round_id bigint null;

alter table photo add constraint photo_defect foreign key (defect_id) references defect (id);

alter table photo add constraint photo_round foreign key (round_id) references round (id);

alter table photo add constraint photo_of_defect_once unique (defect_id, sha256);

alter table photo add constraint photo_of_round_once unique (round_id, sha256);

-- Where a spill was, how much ran out, and how many people were hurt; null where a report of before does not say.
alter table incident add column place varchar(120) not null default '';

alter table incident add column litres decimal(7, 2) null;

alter table incident add column hurt smallint null;
