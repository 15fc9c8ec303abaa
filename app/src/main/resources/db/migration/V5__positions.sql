-- Where people sit: each browser is at one position, with its operator, place, radio and call.
create sequence operating_position_seq start with 2 increment by 1;
create sequence further_call_seq start with 1 increment by 1;

create table operating_position (
    id bigint primary key,
    version integer not null,
    name varchar(60) not null,
    operator_id bigint references operator (id),
    place_id bigint references place (id),
    radio_id bigint references radio (id) on delete set null,
    -- null for the station's own call
    own_call varchar(20),
    used_at timestamp(3) with time zone not null
);

insert into operating_position (id, version, name, operator_id, place_id, used_at)
select 1, 0, 'Desk', operator_id, place_id, current_timestamp from station;

alter table station drop column operator_id;
alter table station drop column place_id;

-- Calls used besides the station's own, such as one for an event.
create table further_call (
    id bigint primary key,
    version integer not null,
    call_sign varchar(20) not null unique,
    valid_from date,
    valid_until date,
    note varchar(120)
);

alter table operator add column licence varchar(40);

-- null for what follows from the call
alter table place add column entity_code integer;
alter table place add column cq_zone integer;
alter table place add column itu_zone integer;
alter table place add column comment varchar(200);

alter table station add column region varchar(20) default 'EUROPE_AFRICA' not null;
alter table station add column bands_in_use varchar(400)
    default '160m,80m,60m,40m,30m,20m,17m,15m,12m,10m,6m,2m' not null;
alter table station add column modes_in_use varchar(200) default 'LSB,USB,CW,DATA-U,RTTY,AM,FM' not null;
alter table station add column miles boolean default false not null;
alter table station add column date_form varchar(20) default 'YEAR_FIRST' not null;
-- an IANA time zone; null for the browser's own
alter table station add column second_clock varchar(60);
alter table station add column time_server varchar(220);

alter table rotor add column dead_zones varchar(200) default '' not null;
alter table rotor add column presets varchar(1000) default '' not null;
