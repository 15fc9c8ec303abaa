-- The person and the position, in words; null for what the station did by itself and for all that was done before.
alter table log_change add column made_by varchar(130);
alter table journey_note add column made_by varchar(130);
alter table handover add column asked_by varchar(130);
