-- how long hair was on a section of a head; without a length: the day of a cut
create table hair_length (
  id uuid not null primary key,
  household_id uuid not null,
  person_id uuid not null,
  `day` date not null,
  section varchar(20),
  cm double,
  version bigint not null,
  constraint hair_length_household foreign key (household_id) references household (id) on delete cascade,
  constraint hair_length_person foreign key (household_id, person_id) references person (household_id, id) on delete cascade,
  constraint hair_length_once unique (person_id, section, `day`)
);
create index hair_length_of_person on hair_length (household_id, person_id, `day`);
