create sequence radio_seq start with 1 increment by 1;
create sequence rotor_seq start with 1 increment by 1;

create table radio (
    id bigint primary key,
    version integer not null,
    name varchar(60) not null,
    dialect varchar(30) not null,
    -- host and port, or a serial port's path
    address varchar(300) not null,
    baud integer,
    bus integer not null,
    full_power_w integer not null,
    poll_every_ms integer not null,
    lower_sideband_keyed boolean not null
);

create table rotor (
    id bigint primary key,
    version integer not null,
    name varchar(60) not null,
    address varchar(300) not null,
    baud integer,
    stop_degrees double precision not null,
    travel_degrees double precision not null,
    mount_offset_degrees double precision not null
);
