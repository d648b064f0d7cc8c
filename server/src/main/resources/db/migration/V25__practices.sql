-- a brew that is only practised; content: which exercise or formula, and what was done at which second of the pot's time
create table practice (
  id uuid not null primary key,
  household_id uuid not null,
  person_id uuid,
  exercise varchar(40) not null,
  begun_at datetime(6) not null,
  ended_at datetime(6),
  -- the pot was at this second at that moment, and went on so many times as fast as the clock
  at_moment datetime(6) not null,
  at_second double not null,
  pace double not null,
  -- of what was asked for, how much was reached; null before the end
  reached integer,
  asked integer not null,
  content mediumtext not null,
  version bigint not null,
  constraint practice_household foreign key (household_id) references household (id) on delete cascade,
  constraint practice_person foreign key (household_id, person_id) references person (household_id, id) on delete cascade
);
create index practice_of_household on practice (household_id, begun_at);
