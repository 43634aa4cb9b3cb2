-- An address may tell of one room alone.
alter table calendar_feed
  add column room_id bigint null,
  add constraint calendar_feed_room foreign key (room_id) references room (id) on delete cascade;
