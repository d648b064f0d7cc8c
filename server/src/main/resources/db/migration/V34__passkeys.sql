-- Passkeys, as the security framework's own repositories keep them: under a name, which is the account's id, and
-- gone with the account.
create table user_entities (
  id varchar(100) character set ascii collate ascii_bin not null primary key,
  name uuid not null,
  display_name varchar(200) not null,
  constraint user_entities_name unique (name),
  constraint user_entities_account foreign key (name) references account (id) on delete cascade
);

create table user_credentials (
  credential_id varchar(1400) character set ascii collate ascii_bin not null primary key,
  user_entity_user_id varchar(100) character set ascii collate ascii_bin not null,
  public_key blob not null,
  signature_count bigint not null,
  uv_initialized boolean not null,
  backup_eligible boolean not null,
  authenticator_transports varchar(1000) null,
  public_key_credential_type varchar(100) null,
  backup_state boolean not null,
  attestation_object blob null,
  attestation_client_data_json blob null,
  created datetime(6) not null,
  last_used datetime(6) not null,
  label varchar(200) not null,
  constraint user_credentials_user foreign key (user_entity_user_id) references user_entities (id) on delete cascade
);
