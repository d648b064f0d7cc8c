-- what a household owns to fill brews into
create table container_set (
  id uuid not null primary key,
  household_id uuid not null,
  kind varchar(20) not null,
  size_ml double not null,
  filter boolean not null,
  owned int not null,
  sterilised int not null,
  sterilised_at datetime(6),
  version bigint not null,
  constraint container_set_once unique (household_id, kind, size_ml),
  constraint container_set_household foreign key (household_id) references household (id) on delete cascade
);

-- told_day: a last day that a table told when it was read in; like a printed one it binds
alter table bottle
  add column sterilised_at datetime(6),
  add column told_day date;

-- what stayed in the strainer and is good for a second use
create table leftover (
  id uuid not null primary key,
  household_id uuid not null,
  batch_id uuid not null,
  code varchar(14) not null,
  name varchar(200) not null,
  purpose varchar(20) not null,
  why varchar(300) not null,
  material_id varchar(80),
  dry_grams double not null,
  wet_grams double not null,
  strained_at datetime(6) not null,
  last_day date not null,
  outcome varchar(20) not null,
  ended_at datetime(6),
  lot_id uuid,
  version bigint not null,
  constraint leftover_household foreign key (household_id) references household (id) on delete cascade,
  constraint leftover_batch foreign key (batch_id) references batch (id) on delete cascade
);
create index leftover_open on leftover (household_id, outcome, last_day);
