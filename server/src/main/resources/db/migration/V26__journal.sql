-- what somebody wrote down of a batch or of a day on a head; content: words, scores, what else may confuse them
create table journal_entry (
  id uuid not null primary key,
  household_id uuid not null,
  `day` date not null,
  person_id uuid,
  batch_id uuid,
  content mediumtext not null,
  version bigint not null,
  constraint journal_entry_household foreign key (household_id) references household (id) on delete cascade,
  constraint journal_entry_person foreign key (household_id, person_id) references person (household_id, id) on delete cascade,
  constraint journal_entry_batch foreign key (household_id, batch_id) references batch (household_id, id) on delete cascade
);
create index journal_entry_of_household on journal_entry (household_id, `day`);

-- a brew used in a rhythm for some weeks; content: what else changed meanwhile
create table course (
  id uuid not null primary key,
  household_id uuid not null,
  person_id uuid not null,
  formula_id varchar(80) not null,
  name varchar(120) not null,
  from_day date not null,
  weeks integer not null,
  every_days integer not null,
  ended_at datetime(6),
  content mediumtext not null,
  version bigint not null,
  constraint course_household foreign key (household_id) references household (id) on delete cascade,
  constraint course_person foreign key (household_id, person_id) references person (household_id, id) on delete cascade
);
create index course_of_household on course (household_id, from_day);

-- names of people, for tables that others write out
create view person_name as select id, household_id, name from person;
