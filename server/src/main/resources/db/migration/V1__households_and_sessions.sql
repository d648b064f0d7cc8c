-- accounts
create table household (
  id uuid not null primary key,
  name varchar(80) not null,
  measure_system varchar(20) not null,
  fahrenheit boolean not null,
  time_zone varchar(60) not null,
  school varchar(20) not null,
  demo boolean not null,
  revision bigint not null,
  clock_offset_seconds bigint not null,
  created_at datetime(6) not null,
  version bigint not null
);

create table account (
  id uuid not null primary key,
  household_id uuid not null,
  sign_in varchar(40) not null,
  password_hash varchar(200) not null,
  created_at datetime(6) not null,
  constraint account_sign_in unique (sign_in),
  constraint account_household foreign key (household_id) references household (id) on delete cascade
);

create table sign_in_failure (
  sign_in varchar(40) not null primary key,
  failures int not null,
  last_at datetime(6) not null
);

create table idempotency (
  household_id uuid not null,
  idempotency_key varchar(80) not null,
  request_hash char(64) not null,
  status int not null,
  response mediumtext not null,
  created_at datetime(6) not null,
  primary key (household_id, idempotency_key),
  constraint idempotency_household foreign key (household_id) references household (id) on delete cascade
);

-- sessions, as Spring Session lays them out
create table SPRING_SESSION (
  PRIMARY_ID char(36) not null,
  SESSION_ID char(36) not null,
  CREATION_TIME bigint not null,
  LAST_ACCESS_TIME bigint not null,
  MAX_INACTIVE_INTERVAL int not null,
  EXPIRY_TIME bigint not null,
  PRINCIPAL_NAME varchar(100),
  constraint SPRING_SESSION_PK primary key (PRIMARY_ID)
);
create unique index SPRING_SESSION_IX1 on SPRING_SESSION (SESSION_ID);
create index SPRING_SESSION_IX2 on SPRING_SESSION (EXPIRY_TIME);
create index SPRING_SESSION_IX3 on SPRING_SESSION (PRINCIPAL_NAME);
create table SPRING_SESSION_ATTRIBUTES (
  SESSION_PRIMARY_ID char(36) not null,
  ATTRIBUTE_NAME varchar(200) not null,
  ATTRIBUTE_BYTES blob not null,
  constraint SPRING_SESSION_ATTRIBUTES_PK primary key (SESSION_PRIMARY_ID, ATTRIBUTE_NAME),
  constraint SPRING_SESSION_ATTRIBUTES_FK foreign key (SESSION_PRIMARY_ID)
    references SPRING_SESSION (PRIMARY_ID) on delete cascade
);
