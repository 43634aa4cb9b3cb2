-- By it a snapshot that was read before is known without being read again.
alter table battery_state add column snapshot_hash char(64) null;
