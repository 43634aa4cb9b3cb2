-- What is next at a watering kit is worked out anew.
delete from battery_state;
