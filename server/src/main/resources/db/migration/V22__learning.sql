-- what a kitchen taught of the model's figures, as the last calibration found it
create table taught_figure (
  id uuid not null primary key,
  household_id uuid not null,
  knob varchar(120) not null,
  content mediumtext not null,
  constraint taught_figure_household foreign key (household_id) references household (id) on delete cascade,
  constraint taught_figure_once unique (household_id, knob)
);

-- what somebody said of it: a figure is put back (knob), a batch counts or does not (batch_id)
create table learning_choice (
  id uuid not null primary key,
  household_id uuid not null,
  knob varchar(120),
  batch_id uuid,
  counts boolean not null,
  version bigint not null,
  constraint learning_choice_household foreign key (household_id) references household (id) on delete cascade,
  constraint learning_choice_batch foreign key (household_id, batch_id) references batch (household_id, id) on delete cascade,
  constraint learning_choice_knob unique (household_id, knob),
  constraint learning_choice_of_batch unique (household_id, batch_id)
);

-- a calibration under way; foretold: how each batch was foretold and came out
create table calibration (
  household_id uuid not null primary key,
  state varchar(20) not null,
  asked_at datetime(6) not null,
  ended_at datetime(6),
  done int not null,
  total int not null,
  foretold mediumtext,
  constraint calibration_household foreign key (household_id) references household (id) on delete cascade
);
create index calibration_waiting on calibration (state, asked_at);
