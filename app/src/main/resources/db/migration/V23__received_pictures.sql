-- Pictures that a receiving program left in a folder, the contacts they belong to, and the layouts of replies.
create sequence received_picture_seq start with 1 increment by 1;
create sequence own_picture_seq start with 1 increment by 1;

create table picture_settings (
    id integer primary key,
    version integer not null,
    -- null while no folder was chosen
    folder varchar(1000),
    -- where the transmitting program takes its pictures from
    reply_folder varchar(1000),
    -- whose frequency is noted; null for the first radio
    radio_id bigint
);

insert into picture_settings (id, version) values (1, 0);

create table received_picture (
    id bigint primary key,
    version integer not null,
    path varchar(1000) not null,
    size_bytes bigint not null,
    modified_at timestamp(3) with time zone not null,
    -- of its content: the same picture is there once
    sha256 varchar(64) not null unique,
    media_type varchar(20) not null,
    width integer not null,
    height integer not null,
    received_at timestamp(3) with time zone not null,
    frequency_hz bigint,
    mode varchar(20),
    state varchar(10) not null,
    contact_id bigint,
    -- of the contact; null where there is none
    call_sign varchar(20),
    -- the call of the contact that is under way and will be logged
    waits_for varchar(20),
    note varchar(500) not null
);

create index received_picture_time on received_picture (received_at, id);
create index received_picture_state on received_picture (state, received_at);
create index received_picture_contact on received_picture (contact_id);
create index received_picture_waits on received_picture (waits_for);

create table received_picture_content (
    id bigint primary key references received_picture (id) on delete cascade,
    thumbnail binary large object not null,
    content binary large object not null
);

-- A picture is made smaller when it is sent, and kept as it is.
alter table contact_picture alter column content set data type binary large object;
-- Which received picture a contact's picture is a copy of; null for one that was uploaded.
alter table contact_picture add column received_id bigint;

create table own_picture (
    id bigint primary key,
    version integer not null,
    name varchar(80) not null,
    content binary large object not null
);

-- Layouts that the operator made, or changed from those to begin with.
create table reply_layout (
    name varchar(40) primary key,
    version integer not null,
    -- as JSON
    definition varchar(8000) not null
);
