-- shelf: what happens to a bottle and to the whole fridge; a printed date
alter table bottle
  add column school varchar(20),
  add column clean_working boolean not null default false,
  add column marked boolean not null default false,
  add column printed_day date,
  add column first_place varchar(20) not null default 'FRIDGE',
  add column parent_id uuid,
  add column code varchar(14) not null default '';
update bottle b join batch a on a.id = b.batch_id set b.code = a.code;
update bottle b join household h on h.id = b.household_id set b.school = h.school;
alter table bottle modify column school varchar(20) not null;

create table bottle_event (
  id bigint not null auto_increment primary key,
  household_id uuid not null,
  bottle_id uuid not null,
  change_id uuid not null,
  happened_at datetime(6) not null,
  kind varchar(20) not null,
  place varchar(20),
  hours double,
  celsius double,
  cause varchar(200) not null,
  own_ml double,
  other mediumtext,
  undone boolean not null,
  constraint bottle_event_household foreign key (household_id) references household (id) on delete cascade,
  constraint bottle_event_bottle foreign key (bottle_id) references bottle (id) on delete cascade
);
create index bottle_event_of_bottle on bottle_event (bottle_id, happened_at);
create index bottle_event_of_change on bottle_event (change_id);

create table fridge_event (
  id uuid not null primary key,
  household_id uuid not null,
  from_at datetime(6) not null,
  to_at datetime(6) not null,
  words varchar(200) not null,
  pieces mediumtext not null,
  made_at datetime(6) not null,
  undone boolean not null,
  constraint fridge_event_household foreign key (household_id) references household (id) on delete cascade
);
create index fridge_event_recent on fridge_event (household_id, to_at);

alter table happening add column change_id uuid;
create index happening_of_change on happening (change_id);

-- a private address that a calendar program can subscribe to; only the hash of its token is kept
create table feed (
  household_id uuid not null primary key,
  token_hash char(64) not null,
  made_at datetime(6) not null,
  constraint feed_token unique (token_hash),
  constraint feed_household foreign key (household_id) references household (id) on delete cascade
);
