-- what a household means by a word of a note; an answer given twice holds for every note.
-- A big letter may mean another spoon than a small one: words are compared as they are written.
create table own_word (
  household_id uuid not null,
  word varchar(96) character set utf8mb4 collate utf8mb4_bin not null,
  meaning varchar(120) not null,
  times integer not null,
  last_on datetime(6) not null,
  primary key (household_id, word),
  constraint own_word_household foreign key (household_id) references household (id) on delete cascade
);
