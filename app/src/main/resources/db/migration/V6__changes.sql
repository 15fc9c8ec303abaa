-- What people and imports changed, so that each of it can be undone, also after a restart.
create sequence log_change_seq start with 1 increment by 1;

create table log_change (
    id bigint primary key,
    version integer not null,
    made_at timestamp(3) with time zone not null,
    kind varchar(20) not null,
    sentence varchar(400) not null,
    -- how many contacts it is meant to change, and how many it has
    planned integer not null,
    done integer not null,
    state varchar(12) not null,
    -- the change this one takes back; the change that took this one back
    undoes bigint,
    undone_by bigint
);

-- A contact as it was before a change: the columns of contact behind two of our own. Add columns to both.
create table contact_past as
select cast(0 as bigint) as change_id, cast('EDITED' as varchar(12)) as fate, c.* from contact c where false;

alter table contact_past alter column change_id set not null;
alter table contact_past alter column fate set not null;
alter table contact_past alter column id set not null;
alter table contact_past alter column version set not null;
alter table contact_past add primary key (change_id, id);
create index contact_past_by_contact on contact_past (id, version);

-- Contacts a change brought; taking it back takes them out again.
create table contact_added (
    change_id bigint not null,
    contact_id bigint not null,
    primary key (change_id, contact_id)
);

-- Where deleted contacts stood at the services, for when they come back.
create table delivery_past as
select cast(0 as bigint) as change_id, d.* from delivery d where false;

alter table delivery_past alter column change_id set not null;
alter table delivery_past alter column id set not null;
alter table delivery_past add primary key (change_id, id);

create sequence saved_view_seq start with 1 increment by 1;

create table saved_view (
    id bigint primary key,
    version integer not null,
    name varchar(60) not null unique,
    search varchar(400) not null,
    sort_field varchar(40) not null,
    descending boolean not null,
    log_columns varchar(1000) not null
);
