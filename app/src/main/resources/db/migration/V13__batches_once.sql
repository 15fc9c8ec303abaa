-- A batch is needed until it is known what became of it; kept longer, the log would hold every contact once more for each service.
delete from handover_content where handover_id in (select id from handover where state in ('REPORTED', 'REFUSED'));

-- The parts of a letter are cut from its batch when they are sent; where each stands is read and written all the time.
alter table mail_part add column bytes integer default 0 not null;
update mail_part set bytes = octet_length(content);
alter table mail_part drop column content;
