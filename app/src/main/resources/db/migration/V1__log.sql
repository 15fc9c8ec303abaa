-- One file for decades: numbers come from sequences in blocks, lists are read along an index, nothing is counted by scanning.

create sequence contact_seq start with 1 increment by 500;
create sequence intake_journal_seq start with 1 increment by 500;
create sequence journey_note_seq start with 1 increment by 50;
create sequence handover_seq start with 1 increment by 1;
create sequence confirmation_seq start with 1 increment by 50;
create sequence place_seq start with 1 increment by 1;
create sequence operator_seq start with 1 increment by 1;
create sequence identity_seq start with 1 increment by 1;

create table place (
    id bigint primary key,
    version integer not null,
    name varchar(80) not null,
    locator varchar(10),
    rig varchar(80),
    antenna varchar(80),
    power_w integer
);

create table operator (
    id bigint primary key,
    version integer not null,
    call_sign varchar(20) not null unique,
    name varchar(80)
);

-- The one row that says who we are.
create table station (
    id integer primary key,
    version integer not null,
    own_call varchar(20),
    operator_id bigint references operator (id),
    place_id bigint references place (id)
);

insert into station (id, version) values (1, 0);

create table hookup_switch (
    hookup_id varchar(40) primary key,
    connected boolean not null
);

create table contact (
    id bigint primary key,
    version integer not null,
    own_call varchar(20) not null,
    call_sign varchar(20) not null,
    started_at timestamp(0) with time zone not null,
    seconds_known boolean not null,
    ended_at timestamp(0) with time zone,
    band varchar(8) not null,
    frequency_hz bigint,
    mode varchar(16) not null,
    submode varchar(32),
    propagation varchar(8),
    satellite varchar(32),
    report_sent varchar(16),
    report_received varchar(16),
    name varchar(80),
    qth varchar(80),
    locator varchar(10),
    country varchar(60),
    state varchar(40),
    continent varchar(2),
    entity_code integer,
    cq_zone integer,
    itu_zone integer,
    operator_call varchar(20),
    own_locator varchar(10),
    power_w varchar(12),
    comment varchar(400),
    place_id bigint references place (id),
    -- every other ADIF field, as ADI text
    other_fields character varying(1000000),
    provenance varchar(4000) not null,
    logged_at timestamp(3) with time zone not null
);

-- the log's order, and "was this station worked, when"
create index contact_by_start on contact (started_at desc, id desc);
create index contact_by_call on contact (call_sign, started_at);

create table intake_journal (
    id bigint primary key,
    arrived_at timestamp(3) with time zone not null,
    source varchar(40) not null,
    sender varchar(80) not null,
    raw character varying(66000) not null,
    decision varchar(12) not null,
    sentence varchar(2000) not null,
    contact_id bigint
);

create index intake_journal_by_contact on intake_journal (contact_id, id);

-- What happened to a contact besides arriving and being delivered: edits, refusals.
create table journey_note (
    id bigint primary key,
    contact_id bigint not null,
    noted_at timestamp(3) with time zone not null,
    kind varchar(20) not null,
    sentence varchar(2000) not null
);

create index journey_note_by_contact on journey_note (contact_id, id);

create table service (
    id integer primary key,
    version integer not null,
    name varchar(40) not null,
    address varchar(400),
    account varchar(80),
    sealed_password varbinary(1000),
    at_once boolean not null,
    fetch_every_s integer not null,
    confirmations_until timestamp(3) with time zone
);

insert into service (id, version, name, at_once, fetch_every_s) values (1, 0, 'Countersign', false, 900);

create table signing_identity (
    id bigint primary key,
    service_id integer not null references service (id),
    call_sign varchar(20) not null,
    valid_from timestamp(3) with time zone not null,
    valid_until timestamp(3) with time zone not null,
    sealed_file varbinary(20000) not null,
    sealed_passphrase varbinary(1000) not null
);

-- id = contact * 64 + service, so that a contact's deliveries lie together and need no index of their own.
create table delivery (
    id bigint primary key,
    version integer not null,
    service_id integer not null,
    state varchar(12) not null,
    reason varchar(400),
    hold_rule varchar(20),
    handover_id bigint,
    content_hash bigint,
    changed_at timestamp(3) with time zone not null
);

create index delivery_by_state on delivery (service_id, state, id);

create table delivery_tally (
    service_id integer not null,
    state varchar(12) not null,
    contacts bigint not null,
    primary key (service_id, state)
);

insert into delivery_tally (service_id, state, contacts)
select 1, s, 0
from (values ('HELD'), ('DUE'), ('HANDED_OVER'), ('ACCEPTED'), ('CONFIRMED'), ('REFUSED'), ('CHANGED'), ('NOT_MEANT')) as t (s);

create table handover (
    id bigint primary key,
    version integer not null,
    service_id integer not null,
    state varchar(12) not null,
    idempotency_key varchar(40) not null unique,
    contact_ids bigint array not null,
    content varbinary(10000000) not null,
    prepared_at timestamp(3) with time zone not null,
    attempts integer not null,
    next_try_at timestamp(3) with time zone,
    trouble varchar(600),
    given_at timestamp(3) with time zone,
    receipt_number varchar(80),
    receipt_words varchar(600),
    reported_at timestamp(3) with time zone,
    taken integer,
    refused integer
);

create index handover_open on handover (service_id, state, id);

create table confirmation (
    id bigint primary key,
    service_id integer not null,
    number varchar(80) not null,
    received_at timestamp(3) with time zone not null,
    fetched_at timestamp(3) with time zone not null,
    own_call varchar(20) not null,
    call_sign varchar(20) not null,
    band varchar(8) not null,
    mode varchar(16) not null,
    submode varchar(32),
    started_at timestamp(0) with time zone not null,
    locator varchar(10),
    contact_id bigint,
    unique (service_id, number)
);

create index confirmation_by_contact on confirmation (contact_id, id);
