-- how long it is left to itself, and what was on it then; null where only the stretched length was measured
alter table hair_length
  add column loose_cm double,
  add column with_product varchar(80);
