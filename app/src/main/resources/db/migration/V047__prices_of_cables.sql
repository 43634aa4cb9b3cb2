-- What a new one costs the site; null where nobody has said.
alter table pack_cable add column price decimal(8, 2) null;
