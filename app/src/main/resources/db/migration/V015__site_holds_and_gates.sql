-- A site's own holds, measurements and gates beside its steps, cautions and references.
alter table procedure_addition add column unit varchar(12) null;
alter table procedure_addition add column least double null;
alter table procedure_addition add column most double null;
alter table procedure_addition add column gate varchar(20) null;

alter table procedure_addition drop constraint addition_kind_known;

alter table procedure_addition
  add constraint addition_kind_is_known check (kind in ('STEP', 'HOLD', 'MEASURE', 'CAUTION', 'GATE', 'REFERENCE'));

alter table procedure_addition
  add constraint addition_measures check ((kind = 'MEASURE') = (unit is not null and least < most));

alter table procedure_addition add constraint addition_gates check ((kind = 'GATE') = (gate is not null));
