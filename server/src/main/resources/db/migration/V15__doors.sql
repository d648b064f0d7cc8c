-- What packages show of their tables to others that read with SQL. A table itself is read and written by its own
-- package alone (a test holds it); a change behind one of these views is nobody else's business.

-- accounts
create view household_state as select id, revision, clock_offset_seconds from household;
create view live_session as select SESSION_ID as session_id from SPRING_SESSION;

-- bench
create view batch_name as select id, household_id, code, formula_id, formula_name from batch;

-- history
create view happening_line as
select id, household_id, batch_id, bottle_id, change_id, happened_at, kind, millilitres, detail, undone from happening;

-- stores: what went into batches, at the price of the lots that it was taken from
create view lot_cost as
select h.household_id, h.batch_id, h.happened_at, h.grams * l.price / l.grams as cost
from lot_happening h join lot l on l.id = h.lot_id
where h.undone = false and l.price is not null and l.grams > 0;
