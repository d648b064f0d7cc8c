-- kitchens
create table kitchen (
  household_id uuid not null primary key,
  content mediumtext not null,
  schema_version int not null,
  version bigint not null,
  constraint kitchen_household foreign key (household_id) references household (id) on delete cascade
);

-- bench
create table batch (
  id uuid not null primary key,
  household_id uuid not null,
  code varchar(12) not null,
  formula_id varchar(80) not null,
  formula_name varchar(120) not null,
  formula mediumtext not null,
  kitchen mediumtext not null,
  target mediumtext not null,
  plan mediumtext not null,
  schema_version int not null,
  scale double not null,
  status varchar(20) not null,
  step int not null,
  started_at datetime(6) not null,
  ended_at datetime(6),
  bottled_ml double,
  version bigint not null,
  constraint batch_code unique (household_id, code),
  constraint batch_household foreign key (household_id) references household (id) on delete cascade
);
create index batch_by_status on batch (household_id, status, started_at);

create table batch_step (
  batch_id uuid not null,
  step_index int not null,
  started_at datetime(6) not null,
  ended_at datetime(6),
  timing varchar(10),
  cue_seen boolean not null,
  measured_ml double,
  measured_c double,
  note varchar(500) not null,
  primary key (batch_id, step_index),
  constraint batch_step_batch foreign key (batch_id) references batch (id) on delete cascade
);

-- shelf
create table bottle (
  id uuid not null primary key,
  household_id uuid not null,
  batch_id uuid not null,
  number int not null,
  name varchar(120) not null,
  tint char(6) not null,
  container varchar(20) not null,
  size_ml double not null,
  filled_ml double not null,
  left_ml double not null,
  place varchar(20) not null,
  filled_at datetime(6) not null,
  last_day date not null,
  runs_out datetime(6) not null,
  use_now boolean not null,
  status varchar(20) not null,
  end_reason varchar(20),
  ended_at datetime(6),
  version bigint not null,
  constraint bottle_household foreign key (household_id) references household (id) on delete cascade,
  constraint bottle_batch foreign key (batch_id) references batch (id) on delete cascade
);
create index bottle_standing on bottle (household_id, status, last_day);
create index bottle_by_batch on bottle (batch_id);

-- what happened, to batches and bottles alike; nothing here is ever changed but the mark of undoing
create table happening (
  id bigint not null auto_increment primary key,
  household_id uuid not null,
  batch_id uuid not null,
  bottle_id uuid,
  happened_at datetime(6) not null,
  kind varchar(30) not null,
  millilitres double,
  detail varchar(500) not null,
  undone boolean not null,
  constraint happening_household foreign key (household_id) references household (id) on delete cascade,
  constraint happening_batch foreign key (batch_id) references batch (id) on delete cascade
);
create index happening_recent on happening (household_id, happened_at);
create index happening_of_batch on happening (batch_id, happened_at);
create index happening_of_bottle on happening (bottle_id, happened_at);
