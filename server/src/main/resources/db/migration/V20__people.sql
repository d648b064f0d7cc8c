-- whose hair is cared for, and what is done for it
create table person (
  id uuid not null primary key,
  household_id uuid not null,
  name varchar(60) not null,
  profile mediumtext not null,
  routine mediumtext not null,
  made_at datetime(6) not null,
  version bigint not null,
  constraint person_id unique (household_id, id),
  constraint person_household foreign key (household_id) references household (id) on delete cascade
);

create table patch_test (
  id uuid not null primary key,
  household_id uuid not null,
  person_id uuid not null,
  material_id varchar(80) not null,
  started_at datetime(6) not null,
  result varchar(20),
  seen_at datetime(6),
  version bigint not null,
  constraint patch_test_person foreign key (household_id, person_id) references person (household_id, id) on delete cascade
);
create index patch_test_of_person on patch_test (person_id, started_at);

create table reaction (
  id uuid not null primary key,
  household_id uuid not null,
  person_id uuid not null,
  seen_at datetime(6) not null,
  formula_id varchar(80),
  name varchar(120) not null,
  materials text not null,
  sign varchar(20) not null,
  version bigint not null,
  constraint reaction_person foreign key (household_id, person_id) references person (household_id, id) on delete cascade
);
create index reaction_of_person on reaction (person_id, seen_at);

-- what somebody said of an occasion of one day: put on another day, left out, done
create table wash_day (
  id uuid not null primary key,
  household_id uuid not null,
  person_id uuid not null,
  occasion varchar(60) not null,
  name varchar(60) not null,
  planned date not null,
  moved_to date,
  done boolean not null,
  done_at datetime(6),
  note varchar(400) not null,
  version bigint not null,
  constraint wash_day_once unique (household_id, person_id, occasion, planned),
  constraint wash_day_id unique (household_id, id),
  constraint wash_day_person foreign key (household_id, person_id) references person (household_id, id) on delete cascade
);
create index wash_day_of_household on wash_day (household_id, planned);

-- what came on a head; told: what of it counts for limits
create table head_use (
  id bigint not null auto_increment primary key,
  household_id uuid not null,
  person_id uuid not null,
  wash_day_id uuid,
  use_mark uuid,
  bottle_id uuid,
  bottle_code varchar(20) not null,
  used_at datetime(6) not null,
  slot varchar(20) not null,
  formula_id varchar(80) not null,
  name varchar(120) not null,
  millilitres double not null,
  minutes double,
  told text not null,
  undone boolean not null,
  constraint head_use_person foreign key (household_id, person_id) references person (household_id, id) on delete cascade,
  constraint head_use_wash_day foreign key (household_id, wash_day_id) references wash_day (household_id, id) on delete cascade
);
create index head_use_of_person on head_use (person_id, used_at);
create index head_use_of_household on head_use (household_id, used_at);
create index head_use_of_use on head_use (use_mark);

-- a wash day under way: what was asked for, and which step ended when
create table wash_run (
  id uuid not null primary key,
  household_id uuid not null,
  day date not null,
  began_at datetime(6) not null,
  asked mediumtext not null,
  taps mediumtext not null,
  version bigint not null,
  constraint wash_run_household foreign key (household_id) references household (id) on delete cascade
);

-- mark: ties a use of a bottle to what came on a head by it
alter table bottle_use add column person_id uuid, add column mark uuid;
create index bottle_use_marked on bottle_use (household_id, mark);
create index bottle_use_of_person on bottle_use (household_id, person_id);
