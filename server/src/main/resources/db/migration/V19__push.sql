-- The keys by which push services know this installation; one pair for all instances.
create table push_key (
  id tinyint not null primary key,
  public_key varchar(120) not null,
  private_key varchar(80) not null
);

-- Devices that are called, and calls that are on their way to them.
create table push_subscription (
  id uuid not null primary key,
  household_id uuid not null,
  account_id uuid not null,
  name varchar(60) not null,
  endpoint varchar(1000) not null,
  endpoint_hash char(64) not null,
  public_key varchar(100) not null,
  secret varchar(40) not null,
  made_at datetime(6) not null,
  last_at datetime(6),
  problem varchar(200),
  constraint push_subscription_endpoint unique (endpoint_hash),
  constraint push_subscription_id unique (household_id, id),
  constraint push_subscription_household foreign key (household_id) references household (id) on delete cascade,
  constraint push_subscription_account foreign key (account_id) references account (id) on delete cascade
);

create table push_delivery (
  id bigint not null auto_increment primary key,
  household_id uuid not null,
  subscription_id uuid not null,
  occasion varchar(160) not null,
  kind varchar(20) not null,
  title varchar(160) not null,
  words varchar(400) not null,
  link varchar(200) not null,
  made_at datetime(6) not null,
  next_at datetime(6) not null,
  tries int not null default 0,
  constraint push_delivery_subscription foreign key (household_id, subscription_id)
    references push_subscription (household_id, id) on delete cascade
);
create index push_delivery_next on push_delivery (next_at);
