-- An earlier edition took the order of a contact's fields for part of its content. That order was another after each start, so
-- contacts reported on after a restart were marked as changed though nobody had edited them. Those that were not changed in the
-- days before are put back to where they stood; what was really edited stays.
create local temporary table wrongly_changed as
select d.id, d.service_id,
       exists (select 1 from confirmation c where c.contact_id = d.id / 64 and c.service_id = d.service_id) as confirmed
  from delivery d
 where d.state = 'CHANGED'
   and not exists (select 1
                     from contact_past p
                     join log_change l on l.id = p.change_id
                    where p.id = d.id / 64
                      and l.made_at between dateadd(day, -14, d.changed_at) and dateadd(minute, 1, d.changed_at));

update delivery
   set version = version + 1,
       state = case when id in (select id from wrongly_changed where confirmed) then 'CONFIRMED' else 'ACCEPTED' end
 where id in (select id from wrongly_changed);

-- Services that take no changes have nothing to be sent again.
update delivery
   set version = version + 1, state = 'ACCEPTED'
 where state = 'CHANGED' and service_id in (select id from service where name in ('Postbag', 'Paper'));

update delivery_tally t
   set contacts = (select count(*) from delivery d where d.service_id = t.service_id and d.state = t.state)
 where t.state in ('CHANGED', 'ACCEPTED', 'CONFIRMED');

drop table wrongly_changed;
