-- A table that is read in, piece by piece: one at a time for each household.
create table table_import (
  household_id uuid not null primary key,
  id uuid not null,
  table_name varchar(40) not null,
  file mediumtext not null,
  state varchar(20) not null,
  asked_at datetime(6) not null,
  stopping boolean not null,
  line_count int not null,
  done_lines int not null,
  taken int not null,
  there int not null,
  left_out int not null,
  said mediumtext not null,
  why varchar(300) null,
  constraint table_import_household foreign key (household_id) references household (id) on delete cascade,
  index table_import_waiting (state, asked_at)
);
