-- bench: overrides, readings, photos, taps that can be taken back, parts of a divided batch
alter table batch
  add column parent_id uuid,
  add column planned_formula mediumtext,
  add constraint batch_parent foreign key (parent_id) references batch (id) on delete cascade;
create index batch_by_parent on batch (parent_id);

alter table batch_step
  add column skipped boolean not null default false,
  add column extended_min double not null default 0,
  add column measured_g double,
  add column measured_ph double,
  add column water_ml double not null default 0,
  add column water_c double not null default 20;

-- the state before each tap, the newest taken back first
create table batch_tap (
  id bigint not null auto_increment primary key,
  batch_id uuid not null,
  words varchar(200) not null,
  state mediumtext not null,
  constraint batch_tap_batch foreign key (batch_id) references batch (id) on delete cascade
);
create index batch_tap_newest on batch_tap (batch_id, id);

create table batch_entry (
  id bigint not null auto_increment primary key,
  household_id uuid not null,
  batch_id uuid not null,
  step_index int not null,
  entered_at datetime(6) not null,
  kind varchar(20) not null,
  amount double,
  subject varchar(80),
  words varchar(400) not null,
  source varchar(80) not null,
  constraint batch_entry_household foreign key (household_id) references household (id) on delete cascade,
  constraint batch_entry_batch foreign key (batch_id) references batch (id) on delete cascade
);
create index batch_entry_of_batch on batch_entry (batch_id, entered_at);

create table batch_photo (
  id uuid not null primary key,
  household_id uuid not null,
  batch_id uuid not null,
  step_index int not null,
  taken_at datetime(6) not null,
  caption varchar(200) not null,
  content mediumblob not null,
  constraint batch_photo_household foreign key (household_id) references household (id) on delete cascade,
  constraint batch_photo_batch foreign key (batch_id) references batch (id) on delete cascade
);
create index batch_photo_of_batch on batch_photo (batch_id, taken_at);

create table batch_follow (
  batch_id uuid not null primary key,
  household_id uuid not null,
  device varchar(60) not null,
  since datetime(6) not null,
  last_at datetime(6),
  problem varchar(200) not null,
  constraint batch_follow_batch foreign key (batch_id) references batch (id) on delete cascade
);

-- what will be due, and what was told; a message has one occasion, whoever writes it
create table reminder (
  id bigint not null auto_increment primary key,
  household_id uuid not null,
  subject varchar(80) not null,
  occasion varchar(160) not null,
  due_at datetime(6) not null,
  kind varchar(20) not null,
  title varchar(160) not null,
  words varchar(400) not null,
  link varchar(200) not null,
  constraint reminder_occasion unique (household_id, occasion),
  constraint reminder_household foreign key (household_id) references household (id) on delete cascade
);
create index reminder_due on reminder (due_at);
create index reminder_of_subject on reminder (household_id, subject);

create table message (
  id bigint not null auto_increment primary key,
  household_id uuid not null,
  occasion varchar(160) not null,
  due_at datetime(6) not null,
  written_at datetime(6) not null,
  kind varchar(20) not null,
  title varchar(160) not null,
  words varchar(400) not null,
  link varchar(200) not null,
  read_at datetime(6),
  constraint message_occasion unique (household_id, occasion),
  constraint message_household foreign key (household_id) references household (id) on delete cascade
);
create index message_newest on message (household_id, id);

-- the table of the scheduler's library
create table scheduled_tasks (
  task_name varchar(100) not null,
  task_instance varchar(100) not null,
  task_data blob,
  execution_time timestamp(6) not null,
  picked boolean not null,
  picked_by varchar(50),
  last_success timestamp(6) null,
  last_failure timestamp(6) null,
  consecutive_failures int,
  last_heartbeat timestamp(6) null,
  version bigint not null,
  priority smallint,
  primary key (task_name, task_instance),
  index scheduled_execution_time (execution_time),
  index scheduled_last_heartbeat (last_heartbeat),
  index scheduled_priority (priority desc, execution_time asc)
);

-- shelf: what a bottle can be poured for
alter table bottle add column formula_id varchar(80) not null default '';
update bottle b join batch a on a.id = b.batch_id set b.formula_id = a.formula_id;
