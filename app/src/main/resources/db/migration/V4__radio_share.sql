-- Where other programs find the radio; null when it is not shared.
alter table radio add column share_port integer;
