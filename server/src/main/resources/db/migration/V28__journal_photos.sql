-- pictures of a head on a day
create table journal_photo (
  id uuid not null primary key,
  household_id uuid not null,
  person_id uuid not null,
  `day` date not null,
  taken_at datetime(6) not null,
  caption varchar(200) not null,
  content mediumblob not null,
  constraint journal_photo_household foreign key (household_id) references household (id) on delete cascade,
  constraint journal_photo_person foreign key (household_id, person_id) references person (household_id, id) on delete cascade
);
create index journal_photo_of_day on journal_photo (household_id, `day`);
