-- Each adult signs in for themself: what the others call them, and what they may do.
alter table account
  add column called varchar(40) null,
  add column role varchar(10) not null default 'KEEPER';
update account set called = sign_in;
alter table account
  modify called varchar(40) not null,
  alter column role drop default,
  add constraint account_called unique (household_id, called);

-- A way in for one more person, by a code of which only the hash is kept. Used, it is gone.
create table invitation (
  id uuid not null primary key,
  household_id uuid not null,
  code_hash char(64) character set ascii collate ascii_bin not null,
  role varchar(10) not null,
  invited_by uuid not null,
  made_at datetime(6) not null,
  ends_at datetime(6) not null,
  constraint invitation_code unique (code_hash),
  constraint invitation_household foreign key (household_id) references household (id) on delete cascade,
  constraint invitation_by foreign key (invited_by) references account (id) on delete cascade,
  index invitation_old (ends_at)
);

-- Codes on paper, each good for one new password.
create table recovery_code (
  account_id uuid not null,
  code_hash char(64) character set ascii collate ascii_bin not null,
  made_at datetime(6) not null,
  primary key (account_id, code_hash),
  constraint recovery_code_account foreign key (account_id) references account (id) on delete cascade
);

-- Who did it, as the others called them then; null where Dremsa did it by itself, or where nobody was told apart.
alter table happening add column done_by varchar(40) null;

-- Who came in, was invited, restored or deleted. It outlives the household that it tells of.
create table audit (
  id bigint not null auto_increment primary key,
  at datetime(6) not null,
  what varchar(30) not null,
  household_id uuid null,
  who varchar(60) null,
  address varchar(60) null,
  about varchar(200) not null,
  index audit_household (household_id, id),
  index audit_old (at)
);
