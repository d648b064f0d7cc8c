-- Tries to sign in are counted before they are made, by name, by address and by device.
drop table sign_in_failure;
create table sign_in_try (
  subject varbinary(120) not null primary key,
  tries int not null,
  last_at datetime(6) not null,
  index sign_in_try_old (last_at)
);

-- Devices on which somebody signed in before: their tries are counted apart, so that a stranger who
-- guesses at a name cannot keep its owner out.
create table known_device (
  token_hash char(64) character set ascii collate ascii_bin not null primary key,
  account_id uuid not null,
  used_at datetime(6) not null,
  constraint known_device_account foreign key (account_id) references account (id) on delete cascade,
  index known_device_old (used_at)
);
