-- Who a call belongs to, as far as somebody else knows.
create table callbook (
    id integer primary key,
    version integer not null,
    address varchar(400),
    account varchar(100),
    sealed_password varbinary(1000),
    -- how long an answer counts as fresh, days
    fresh_days integer not null,
    file_name varchar(200),
    file_entries integer not null,
    file_read_at timestamp(6) with time zone
);

insert into callbook (id, version, fresh_days, file_entries) values (1, 0, 30, 0);

-- Answers that came over the network; also that a call is not known there.
create table callbook_answer (
    call_sign varchar(20) primary key,
    known boolean not null,
    name varchar(80),
    town varchar(80),
    state varchar(80),
    country varchar(80),
    locator varchar(10),
    -- service and day, one a line: Countersign 2026-11-03
    confirms varchar(1000),
    has_picture boolean not null,
    answered_at timestamp(6) with time zone not null
);

create table callbook_picture (
    call_sign varchar(20) primary key,
    media_type varchar(40) not null,
    content varbinary(2097152) not null
);

-- The callbook that lies here as a file.
create table callbook_file_entry (
    call_sign varchar(20) primary key,
    name varchar(80),
    town varchar(80),
    state varchar(80),
    country varchar(80),
    locator varchar(10)
);

-- Where newer reference data come from.
create table reference_source (
    id integer primary key,
    version integer not null,
    address varchar(400),
    daily boolean not null,
    looked_at timestamp(6) with time zone,
    outcome varchar(600),
    failed boolean not null
);

insert into reference_source (id, version, daily, failed) values (1, 0, true, false);

-- Repeaters and satellites the station knows, one a line.
alter table station add channels varchar(4000);
