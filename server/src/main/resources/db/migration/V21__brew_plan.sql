-- when a household has time to brew, and what room there is; one row, whose version is that of the plan
create table brew_plan (
  household_id uuid not null primary key,
  settings mediumtext not null,
  taken_at datetime(6),
  version bigint not null,
  constraint brew_plan_household foreign key (household_id) references household (id) on delete cascade
);

-- what was agreed on; batch: the run that it became
create table planned_brew (
  id uuid not null primary key,
  household_id uuid not null,
  `day` date not null,
  formula_id varchar(80) not null,
  name varchar(120) not null,
  millilitres double not null,
  pinned boolean not null,
  batch_id uuid,
  version bigint not null,
  constraint planned_brew_household foreign key (household_id) references household (id) on delete cascade,
  constraint planned_brew_batch foreign key (household_id, batch_id) references batch (household_id, id) on delete cascade
);
create index planned_brew_of_household on planned_brew (household_id, `day`);

-- what is wanted for nobody's routine: a gift, a jar for a friend
create table plan_demand (
  id uuid not null primary key,
  household_id uuid not null,
  by_day date not null,
  formula_id varchar(80) not null,
  millilitres double not null,
  words varchar(120) not null,
  version bigint not null,
  constraint plan_demand_household foreign key (household_id) references household (id) on delete cascade
);
create index plan_demand_of_household on plan_demand (household_id, by_day);

-- a better plan is looked for; basis: of which situation its answer is
create table plan_search (
  household_id uuid not null primary key,
  state varchar(20) not null,
  days int not null,
  asked_at datetime(6) not null,
  ended_at datetime(6),
  stopping boolean not null,
  basis uuid,
  found mediumtext,
  constraint plan_search_household foreign key (household_id) references household (id) on delete cascade
);
create index plan_search_waiting on plan_search (state, asked_at);
