-- what the self-check called dangerous, and why it was brewed all the same; null where nothing was
alter table batch
  add column overridden varchar(1000),
  add column override_reason varchar(300);
