-- What is still to be done of a change of many contacts, so that it goes on after a restart. Each part is taken off in the
-- transaction that carries it out.
create table change_part (
    change_id bigint not null,
    part integer not null,
    contact_ids bigint array not null,
    primary key (change_id, part),
    foreign key (change_id) references log_change (id) on delete cascade
);

-- The values that an edit of many contacts writes, by ADIF names.
alter table log_change add column edit character varying(20000);

-- What an earlier edition left under way ended there: what was still to be done is not known.
update log_change set state = 'STOPPED' where state = 'RUNNING';
