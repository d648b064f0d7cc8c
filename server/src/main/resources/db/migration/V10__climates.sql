-- how warm room, fridge and freezer were set, each from a moment on; none while nothing ever changed
create table kitchen_climate (
  id uuid not null primary key,
  household_id uuid not null,
  from_at datetime(6) not null,
  room_celsius double not null,
  fridge_celsius double not null,
  freezer_celsius double not null,
  made_at datetime(6) not null,
  constraint kitchen_climate_once unique (household_id, from_at),
  constraint kitchen_climate_household foreign key (household_id) references household (id) on delete cascade
);
