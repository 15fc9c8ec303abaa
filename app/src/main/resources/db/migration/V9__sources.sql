-- What programs say is told apart by the path it came by; until now there were datagrams only.
update contact set provenance = 'DATAGRAM' || substring(provenance, 8) where provenance like 'PROGRAM%';
update contact set provenance = replace(provenance, '=PROGRAM', '=DATAGRAM') where provenance like '%=PROGRAM%';
update contact_past set provenance = 'DATAGRAM' || substring(provenance, 8) where provenance like 'PROGRAM%';
update contact_past set provenance = replace(provenance, '=PROGRAM', '=DATAGRAM') where provenance like '%=PROGRAM%';

-- Where records come from besides what is typed: files that programs write, streams, datagrams.
create sequence intake_source_seq start with 10 increment by 1;

create table intake_source (
    id bigint primary key,
    version integer not null,
    kind varchar(12) not null,
    name varchar(60) not null,
    -- of a followed file
    path varchar(1000),
    -- of a listener; null for the one set when Yokebar is started
    port integer,
    -- calls and operators whose contacts are taken, with commas between; null for all
    own_calls varchar(400),
    place_id bigint references place (id) on delete set null,
    operator_call varchar(20),
    hold_deliveries boolean default false not null,
    look_up boolean default true not null,
    read_to bigint default 0 not null,
    checked_from bigint default 0 not null,
    checksum bigint default 0 not null
);

insert into intake_source (id, version, kind, name) values (1, 0, 'DATAGRAMS', 'Digital programs');
insert into intake_source (id, version, kind, name) values (2, 0, 'STREAM', 'ADIF streams');

-- Records of a followed file that were dealt with, by a hash of their text: a file written anew brings only what is new in it.
create table followed_record (
    source_id bigint not null references intake_source (id) on delete cascade,
    text_hash bigint not null,
    primary key (source_id, text_hash)
);

-- Records that did not get into the log, by the call they name: what "why is it not in my log?" is answered from.
create table set_aside (
    journal_id bigint primary key,
    call_sign varchar(20) not null
);
create index set_aside_by_call on set_aside (call_sign, journal_id);

-- How long repeats are kept in the journal, days; null for ever.
create table intake_setting (
    id integer primary key,
    version integer not null,
    keep_repeats_days integer
);
insert into intake_setting (id, version, keep_repeats_days) values (1, 0, 365);

-- What the operator decided about which records are one contact: a contact may be known under what another one said.
create sequence also_known_seq start with 1 increment by 1;
create table also_known (
    id bigint primary key,
    contact_id bigint not null,
    change_id bigint not null,
    own_call varchar(20) not null,
    call_sign varchar(20) not null,
    started_at timestamp(0) with time zone not null,
    seconds_known boolean not null,
    band varchar(8) not null,
    mode varchar(16) not null,
    submode varchar(32)
);
create index also_known_by_call on also_known (call_sign, started_at);

-- Journal entries that went to another contact by a split or a join, so that taking it back brings them back.
create table journal_moved (
    change_id bigint not null,
    journal_id bigint not null,
    from_contact bigint not null,
    primary key (change_id, journal_id)
);

-- "was it deleted?" by call
create index contact_past_by_call on contact_past (call_sign);
