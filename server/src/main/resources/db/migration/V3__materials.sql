-- a household's own materials, and what it knows better of those of the catalogue
create table household_material (
  household_id uuid not null,
  material_id varchar(80) not null,
  content mediumtext not null,
  schema_version int not null,
  version bigint not null,
  primary key (household_id, material_id),
  constraint household_material_household foreign key (household_id) references household (id) on delete cascade
);

-- the materials of a batch, and the brews poured into it, as they were when it was measured out;
-- a batch older than this takes the catalogue's
alter table batch add column surroundings mediumtext;
