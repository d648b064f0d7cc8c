-- products side by side on sections of a head; content: which jar is where and holds what, and the scores
create table section_trial (
  id uuid not null primary key,
  household_id uuid not null,
  person_id uuid not null,
  begun_at datetime(6) not null,
  ended_at datetime(6),
  content mediumtext not null,
  version bigint not null,
  constraint section_trial_household foreign key (household_id) references household (id) on delete cascade,
  constraint section_trial_person foreign key (household_id, person_id) references person (household_id, id) on delete cascade
);
create index section_trial_of_household on section_trial (household_id, begun_at);
