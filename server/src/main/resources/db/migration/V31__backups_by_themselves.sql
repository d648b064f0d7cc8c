-- When a household was last put into a file that read back whole, and why the last try failed.
create table kept_backup (
  household_id uuid not null primary key,
  good_at datetime(6) null,
  tried_at datetime(6) not null,
  why varchar(300) null,
  constraint kept_backup_household foreign key (household_id) references household (id) on delete cascade
);
