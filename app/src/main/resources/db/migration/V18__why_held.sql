-- Why a contact is held: the rule, what it is about, and what differs from contact to contact. It is put into words when it is
-- read. What an earlier edition held is in words until it is looked at again, which happens at the next start.
alter table delivery add column hold_subject varchar(60);
alter table delivery add column hold_detail varchar(200);
alter table delivery_past add column hold_subject varchar(60);
alter table delivery_past add column hold_detail varchar(200);

update delivery set hold_subject = '', hold_detail = '', reason = null where state = 'HELD' and hold_rule = 'BY_SOURCE';
