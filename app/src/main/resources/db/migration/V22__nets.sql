-- Nets, their sessions, and who checked in. A check-in is stored as it is typed; it is logged when the session is closed.
create sequence net_seq start with 1 increment by 1;
create sequence net_session_seq start with 1 increment by 1;
create sequence net_check_in_seq start with 1 increment by 1;

create table net (
    id bigint primary key,
    version integer not null,
    name varchar(60) not null unique,
    usual_times varchar(120),
    -- Hz; null when it is announced each time
    frequency_hz bigint,
    mode varchar(20),
    -- how its contacts travel, as ADIF's PROP_MODE has it; null when the known channels decide
    travels varchar(10),
    net_control boolean not null,
    -- whether check-ins become contacts
    logs boolean not null,
    identify_minutes integer not null
);

create table net_session (
    id bigint primary key,
    version integer not null,
    net_id bigint references net (id) on delete set null,
    net_name varchar(60) not null,
    net_control boolean not null,
    logs boolean not null,
    position_id bigint,
    own_call varchar(20),
    started_at timestamp(3) with time zone not null,
    ended_at timestamp(3) with time zone,
    frequency_hz bigint,
    mode varchar(20),
    travels varchar(10),
    round integer not null,
    turn_id bigint,
    identify_minutes integer not null,
    identified_at timestamp(3) with time zone not null,
    -- the change of the log that its contacts came with
    change_id bigint
);

create table net_check_in (
    id bigint primary key,
    version integer not null,
    session_id bigint not null references net_session (id) on delete cascade,
    list_order integer not null,
    -- as heard; a part of a call, or a name, where call_sign is null
    heard varchar(20) not null,
    call_sign varchar(20),
    name varchar(80),
    via varchar(20),
    marks varchar(60) not null,
    rst_sent varchar(3),
    rst_rcvd varchar(3),
    note varchar(500),
    checked_in_at timestamp(3) with time zone not null,
    frequency_hz bigint,
    mode varchar(20),
    power_w integer,
    spoken_round integer not null,
    skipped_round integer not null,
    -- in a net that another station leads: whether there was a contact with it
    worked boolean not null,
    contact_id bigint,
    -- made up by the page for each entry, so that a second try is not a second check-in
    entry_key varchar(80),
    -- of the last line that was about it
    note_key varchar(80)
);

create index net_check_in_session on net_check_in (session_id, list_order);
create index net_check_in_call on net_check_in (call_sign);
