-- A reading at the end of a step is a kind and a number: one column for all kinds, by their names.
alter table batch_step add column readings text;
update batch_step set readings = json_object('schemaVersion', 3);
update batch_step set readings = json_insert(readings, '$.TEMPERATURE', measured_c) where measured_c is not null;
update batch_step set readings = json_insert(readings, '$.WEIGHT', measured_g) where measured_g is not null;
update batch_step set readings = json_insert(readings, '$.VOLUME', measured_ml) where measured_ml is not null;
update batch_step set readings = json_insert(readings, '$.PH', measured_ph) where measured_ph is not null;
alter table batch_step
  modify column readings text not null,
  drop column measured_ml, drop column measured_c, drop column measured_g, drop column measured_ph;
