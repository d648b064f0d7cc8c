-- What happened to a bottle is kept as one form (KeepEventJson) in place of seven columns, of which "cause" meant three
-- things; and a line of the record keeps what it tells as data, beside its words.
alter table bottle_event add column said mediumtext;
update bottle_event set said = json_object('schemaVersion', 2, 'kind', kind, 'place', place) where kind = 'MOVED';
update bottle_event set said = json_insert(said, '$.promised', cause) where kind = 'MOVED' and cause <> '';
update bottle_event set said = json_object('schemaVersion', 2, 'kind', kind, 'hours', hours, 'celsius', celsius, 'cause', cause)
where kind = 'WARMED';
update bottle_event set said = json_object('schemaVersion', 2, 'kind', kind) where kind = 'OPENED';
update bottle_event set said = json_object('schemaVersion', 2, 'kind', kind, 'ownMl', own_ml, 'other', json_compact(other))
where kind = 'JOINED';
-- Which school followed stands in the change after it, or else in the bottle.
create temporary table school_after as
select e.id, replace(e.cause, '+', '') as before_school, e.cause like '%+' as before_clean,
  coalesce(
    (select l.cause from bottle_event l where l.bottle_id = e.bottle_id and l.kind = 'SCHOOL' and not l.undone and l.id > e.id
      order by l.id limit 1),
    (select concat(b.school, if(b.clean_working, '+', '')) from bottle b where b.id = e.bottle_id)) as after_that
from bottle_event e where e.kind = 'SCHOOL';
update bottle_event e join school_after a on a.id = e.id
set e.said = json_object('schemaVersion', 2, 'kind', e.kind,
  'before', json_object('school', a.before_school, 'cleanWorking', json_extract(if(a.before_clean, 'true', 'false'), '$')),
  'now', json_object('school', replace(a.after_that, '+', ''),
    'cleanWorking', json_extract(if(a.after_that like '%+', 'true', 'false'), '$')));
drop temporary table school_after;
alter table bottle_event
  modify column said mediumtext not null,
  drop column place, drop column hours, drop column celsius, drop column cause, drop column own_ml, drop column other;

alter table happening add column told mediumtext after detail;
update happening set told = json_object('schemaVersion', 2, 'kind', 'BREWED', 'code', substring(detail, 13))
where kind = 'TAKEN' and detail like 'poured into %';
update happening set told = json_object('schemaVersion', 2, 'kind', 'DISCARDED',
  'reason', if(substring_index(detail, ': ', 1) in ('DATE', 'MOULD', 'SMELL', 'SEPARATED', 'DISLIKED', 'SPILLED', 'OTHER'),
    substring_index(detail, ': ', 1), 'OTHER'),
  'note', if(detail like '%: %', substring(detail, locate(': ', detail) + 2), ''))
where kind = 'DISCARDED';
update happening set detail = left(concat(
  case json_value(told, '$.reason')
    when 'DATE' then 'past its day' when 'MOULD' then 'mould' when 'SMELL' then 'smell' when 'SEPARATED' then 'separated'
    when 'DISLIKED' then 'did not like it' when 'SPILLED' then 'spilled' else 'another reason' end,
  if(json_value(told, '$.note') = '', '', concat(': ', json_value(told, '$.note')))), 500)
where kind = 'DISCARDED';

create or replace view happening_line as
select id, household_id, batch_id, bottle_id, change_id, happened_at, kind, millilitres, detail, undone, told from happening;
