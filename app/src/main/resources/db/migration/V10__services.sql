-- More services than one, each with its own rules, times and choices.
alter table service add column in_use boolean default false not null;
alter table service add column send_when varchar(10) default 'BY_HAND' not null;
alter table service add column every_minutes integer default 30 not null;
alter table service add column paused boolean default false not null;
-- a report of the service itself has come back once
alter table service add column proven boolean default false not null;
alter table service add column takes_relayed boolean default false not null;
alter table service add column own_calls varchar(400) default '' not null;
alter table service add column from_day date;
-- contacts up to this number have got their delivery row; null when all have
alter table service add column filled_to bigint;
alter table service add column swept_until timestamp(3) with time zone;
alter table service add column swept_at timestamp(3) with time zone;
alter table service add column last_handover_at timestamp(3) with time zone;

update service set in_use = true, send_when = case when at_once then 'AT_ONCE' else 'BY_HAND' end,
    proven = exists (select 1 from handover where state = 'REPORTED');

alter table service drop column at_once;

insert into service (id, version, name, fetch_every_s) values
    (2, 0, 'Quayside', 86400),
    (3, 0, 'Postbag', 3600),
    (4, 0, 'Paper', 86400);
update service set in_use = true where id = 4;

insert into delivery_tally (service_id, state, contacts)
select n, s, 0
from (values (2), (3), (4)) as t (n),
    (values ('HELD'), ('DUE'), ('HANDED_OVER'), ('ACCEPTED'), ('CONFIRMED'), ('REFUSED'), ('CHANGED'), ('NOT_MEANT')) as u (s);

-- What a service calls a contact of ours. It outlives the contact, so that a deleted one can be deleted there.
create table remote_contact (
    delivery_id bigint primary key,
    number varchar(40) not null
);

-- Contacts that were deleted here and have to be deleted at a service.
create table withdrawal (
    delivery_id bigint primary key,
    service_id integer not null,
    number varchar(40) not null,
    asked_at timestamp(3) with time zone not null,
    trouble varchar(600)
);

create index withdrawal_by_service on withdrawal (service_id, delivery_id);

alter table handover add column via varchar(8) default 'NETWORK' not null;
-- what it holds or whose signature it carries is no longer right; whether it arrived is asked before anything is sent
alter table handover add column ask_first boolean default false not null;

alter table confirmation add column remark varchar(400);
alter table confirmation add column picture varchar(200);
alter table confirmation add column brings varchar(200);
-- the operator looked at it and it is of no contact of ours
alter table confirmation add column set_aside boolean default false not null;

create index confirmation_by_call on confirmation (call_sign, id);
create index confirmation_by_service on confirmation (service_id, id);

create table card_picture (
    confirmation_id bigint primary key,
    content varbinary(4000000) not null
);

-- Requests for certificates, from the asking to the letter's code.
create sequence identity_request_seq start with 1 increment by 1;

create table identity_request (
    id bigint primary key,
    service_id integer not null references service (id),
    call_sign varchar(20) not null,
    contacts_from timestamp(3) with time zone not null,
    contacts_until timestamp(3) with time zone not null,
    postal_address varchar(400) not null,
    number varchar(80) not null,
    words varchar(600) not null,
    asked_at timestamp(3) with time zone not null,
    sealed_key varbinary(2000) not null
);

alter table signing_identity add column certificate_ends timestamp(3) with time zone;

-- Paper cards: only for contacts the operator wants one for, or had one from.
create table paper_card (
    contact_id bigint primary key,
    version integer not null,
    via varchar(8) not null,
    manager varchar(20),
    note varchar(200),
    sent_at timestamp(3) with time zone,
    received_at timestamp(3) with time zone
);

-- Signed batches that go by radio mail, in parts.
create table mail_part (
    handover_id bigint not null,
    part integer not null,
    parts integer not null,
    content varbinary(130000) not null,
    sent_bytes integer default 0 not null,
    taken_at timestamp(3) with time zone,
    primary key (handover_id, part)
);

-- The radio mail gateway; at most one row.
create table mail_gateway (
    id integer primary key,
    version integer not null,
    address varchar(200) not null,
    call_sign varchar(20) not null
);

-- Who used Countersign lately, as it tells its members.
create table member_activity (
    call_sign varchar(20) primary key,
    last_day date not null
);
