-- what went into batches is asked for by household and time
create index lot_happening_recent on lot_happening (household_id, happened_at);
