-- Every row below a batch, a bottle, a lot or a formula says whose it is, and hangs below one of the same
-- household or not at all. What does not (it could have been read in from a crafted file) goes.

alter table batch add unique key batch_of_household (household_id, id);
alter table bottle add unique key bottle_of_household (household_id, id);
alter table lot add unique key lot_of_household (household_id, id);
alter table formula add unique key formula_by_household (household_id, id);

-- parts of batches
update batch part left join batch whole on whole.id = part.parent_id and whole.household_id = part.household_id
  set part.parent_id = null where part.parent_id is not null and whole.id is null;
alter table batch
  drop foreign key batch_parent,
  add constraint batch_parent_whose foreign key (household_id, parent_id) references batch (household_id, id) on delete cascade;

-- steps and taps: the household was only to be had by way of the batch
alter table batch_step add column household_id uuid;
update batch_step s join batch b on b.id = s.batch_id set s.household_id = b.household_id;
alter table batch_step
  modify household_id uuid not null,
  drop foreign key batch_step_batch,
  add constraint batch_step_batch_whose foreign key (household_id, batch_id) references batch (household_id, id) on delete cascade;

alter table batch_tap add column household_id uuid;
update batch_tap t join batch b on b.id = t.batch_id set t.household_id = b.household_id;
alter table batch_tap
  modify household_id uuid not null,
  drop foreign key batch_tap_batch,
  add constraint batch_tap_batch_whose foreign key (household_id, batch_id) references batch (household_id, id) on delete cascade;

delete e from batch_entry e join batch b on b.id = e.batch_id where b.household_id <> e.household_id;
alter table batch_entry
  drop foreign key batch_entry_batch,
  add constraint batch_entry_batch_whose foreign key (household_id, batch_id) references batch (household_id, id) on delete cascade;

delete p from batch_photo p join batch b on b.id = p.batch_id where b.household_id <> p.household_id;
alter table batch_photo
  drop foreign key batch_photo_batch,
  add constraint batch_photo_batch_whose foreign key (household_id, batch_id) references batch (household_id, id) on delete cascade;

delete f from batch_follow f join batch b on b.id = f.batch_id where b.household_id <> f.household_id;
alter table batch_follow
  drop foreign key batch_follow_batch,
  add constraint batch_follow_batch_whose foreign key (household_id, batch_id) references batch (household_id, id) on delete cascade;

-- kept states of formulas
alter table formula_version add column household_id uuid;
update formula_version v join formula f on f.id = v.formula_id set v.household_id = f.household_id;
alter table formula_version
  modify household_id uuid not null,
  drop foreign key formula_version_formula,
  add constraint formula_version_formula_whose foreign key (household_id, formula_id) references formula (household_id, id) on delete cascade;

-- bottles, their parts and what happened to them
delete v from bottle v join batch b on b.id = v.batch_id where b.household_id <> v.household_id;
update bottle part left join bottle whole on whole.id = part.parent_id and whole.household_id = part.household_id
  set part.parent_id = null where part.parent_id is not null and whole.id is null;
alter table bottle
  drop foreign key bottle_batch,
  add constraint bottle_batch_whose foreign key (household_id, batch_id) references batch (household_id, id) on delete cascade,
  add constraint bottle_parent_whose foreign key (household_id, parent_id) references bottle (household_id, id) on delete cascade;

delete e from bottle_event e join bottle b on b.id = e.bottle_id where b.household_id <> e.household_id;
alter table bottle_event
  drop foreign key bottle_event_bottle,
  add constraint bottle_event_bottle_whose foreign key (household_id, bottle_id) references bottle (household_id, id) on delete cascade;

-- what happened to a bottle whose filling was taken back stays, but names it no more
delete h from happening h join batch b on b.id = h.batch_id where b.household_id <> h.household_id;
update happening h left join bottle b on b.id = h.bottle_id and b.household_id = h.household_id
  set h.bottle_id = null where h.bottle_id is not null and b.id is null;
alter table happening
  drop foreign key happening_batch,
  add constraint happening_batch_whose foreign key (household_id, batch_id) references batch (household_id, id) on delete cascade,
  add constraint happening_bottle_whose foreign key (household_id, bottle_id) references bottle (household_id, id) on delete cascade;

-- stores
update lot part left join lot whole on whole.id = part.dried_from and whole.household_id = part.household_id
  set part.dried_from = null where part.dried_from is not null and whole.id is null;
alter table lot
  add constraint lot_dried_from_whose foreign key (household_id, dried_from) references lot (household_id, id) on delete cascade;

delete h from lot_happening h join lot l on l.id = h.lot_id where l.household_id <> h.household_id;
update lot_happening h left join batch b on b.id = h.batch_id and b.household_id = h.household_id
  set h.batch_id = null where h.batch_id is not null and b.id is null;
alter table lot_happening
  drop foreign key lot_happening_lot,
  add constraint lot_happening_lot_whose foreign key (household_id, lot_id) references lot (household_id, id) on delete cascade,
  add constraint lot_happening_batch_whose foreign key (household_id, batch_id) references batch (household_id, id) on delete cascade;

delete l from leftover l join batch b on b.id = l.batch_id where b.household_id <> l.household_id;
update leftover o left join lot l on l.id = o.lot_id and l.household_id = o.household_id
  set o.lot_id = null where o.lot_id is not null and l.id is null;
alter table leftover
  drop foreign key leftover_batch,
  add constraint leftover_batch_whose foreign key (household_id, batch_id) references batch (household_id, id) on delete cascade,
  add constraint leftover_lot_whose foreign key (household_id, lot_id) references lot (household_id, id) on delete cascade;

-- keys of repeated requests compare by their bytes; old ones are found without reading all
alter table idempotency
  modify idempotency_key varbinary(80) not null,
  add index idempotency_old (created_at);
