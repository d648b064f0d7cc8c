-- The door asks with every visit whether there is a demo kitchen.
create index household_demo on household (demo);
