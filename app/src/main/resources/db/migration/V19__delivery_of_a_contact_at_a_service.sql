-- A delivery is that of a contact at a service, in columns of their own; it was id = contact * 64 + service.
create table delivery_new (
    contact_id bigint not null,
    service_id integer not null,
    version integer not null,
    state varchar(12) not null,
    reason varchar(400),
    hold_rule varchar(20),
    hold_subject varchar(60),
    hold_detail varchar(200),
    handover_id bigint,
    content_hash bigint,
    changed_at timestamp(3) with time zone not null,
    primary key (contact_id, service_id)
);

insert into delivery_new
select id / 64, service_id, version, state, reason, hold_rule, hold_subject, hold_detail, handover_id, content_hash, changed_at
  from delivery order by id;

drop table delivery;
alter table delivery_new rename to delivery;
create index delivery_by_state on delivery (service_id, state, contact_id);

create table delivery_past_new as
select cast(0 as bigint) as change_id, d.* from delivery d where false;
alter table delivery_past_new alter column change_id set not null;
alter table delivery_past_new alter column contact_id set not null;
alter table delivery_past_new alter column service_id set not null;
alter table delivery_past_new add primary key (change_id, contact_id, service_id);

insert into delivery_past_new
select change_id, id / 64, service_id, version, state, reason, hold_rule, hold_subject, hold_detail, handover_id, content_hash,
       changed_at
  from delivery_past order by change_id, id;

drop table delivery_past;
alter table delivery_past_new rename to delivery_past;

create table remote_contact_new (
    contact_id bigint not null,
    service_id integer not null,
    number varchar(40) not null,
    primary key (contact_id, service_id)
);

insert into remote_contact_new
select delivery_id / 64, mod(delivery_id, 64), number from remote_contact order by delivery_id;

drop table remote_contact;
alter table remote_contact_new rename to remote_contact;

create table withdrawal_new (
    contact_id bigint not null,
    service_id integer not null,
    number varchar(40) not null,
    asked_at timestamp(3) with time zone not null,
    trouble varchar(600),
    primary key (contact_id, service_id)
);

insert into withdrawal_new
select delivery_id / 64, service_id, number, asked_at, trouble from withdrawal order by delivery_id;

drop table withdrawal;
alter table withdrawal_new rename to withdrawal;
create index withdrawal_by_service on withdrawal (service_id, contact_id);
