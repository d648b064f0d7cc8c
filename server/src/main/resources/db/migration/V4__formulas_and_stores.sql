-- a household's own formulas; the built-in ones stand in core
create table formula (
  id varchar(80) not null primary key,
  household_id uuid not null,
  content mediumtext not null,
  schema_version int not null,
  copied_from varchar(80),
  changed_at datetime(6) not null,
  gone_at datetime(6),
  version bigint not null,
  constraint formula_household foreign key (household_id) references household (id) on delete cascade
);
create index formula_of_household on formula (household_id, gone_at);

-- states of a formula that were kept, by hand or because something was brewed from them
create table formula_version (
  formula_id varchar(80) not null,
  number int not null,
  content mediumtext not null,
  schema_version int not null,
  kept_at datetime(6) not null,
  note varchar(200) not null,
  primary key (formula_id, number),
  constraint formula_version_formula foreign key (formula_id) references formula (id) on delete cascade
);

alter table batch add column formula_version int;
create index batch_by_formula on batch (household_id, formula_id, started_at);

-- stores: what was harvested or bought, lot by lot
create table lot (
  id uuid not null primary key,
  household_id uuid not null,
  material_id varchar(80) not null,
  origin varchar(20) not null,
  grams double not null,
  left_grams double not null,
  got_on date not null,
  opened_on date,
  price double,
  place varchar(80) not null,
  note varchar(300) not null,
  dried_from uuid,
  ended_at datetime(6),
  version bigint not null,
  constraint lot_household foreign key (household_id) references household (id) on delete cascade
);
create index lot_standing on lot (household_id, ended_at, material_id);

-- what happened to a lot; nothing here is ever changed but the mark of undoing
create table lot_happening (
  id bigint not null auto_increment primary key,
  household_id uuid not null,
  lot_id uuid not null,
  batch_id uuid,
  happened_at datetime(6) not null,
  kind varchar(20) not null,
  grams double not null,
  detail varchar(300) not null,
  undone boolean not null,
  constraint lot_happening_lot foreign key (lot_id) references lot (id) on delete cascade
);
create index lot_happening_of_lot on lot_happening (lot_id, id);

-- below this amount a material is running out
create table store_minimum (
  household_id uuid not null,
  material_id varchar(80) not null,
  grams double not null,
  primary key (household_id, material_id),
  constraint store_minimum_household foreign key (household_id) references household (id) on delete cascade
);

-- what somebody put on the shopping list; the rest of the list is worked out
create table shopping_item (
  id uuid not null primary key,
  household_id uuid not null,
  words varchar(120) not null,
  bought boolean not null,
  constraint shopping_household foreign key (household_id) references household (id) on delete cascade
);
