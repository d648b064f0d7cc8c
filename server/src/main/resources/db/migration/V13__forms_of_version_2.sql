-- V11 took out of the kitchens what version 2 of their form takes out: they are of version 2
update kitchen set schema_version = 2;
