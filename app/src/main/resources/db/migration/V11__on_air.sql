-- Cluster nodes and skimmer feeds.
create sequence feed_seq start with 1 increment by 1;
create table feed (
    id bigint primary key,
    version integer not null,
    name varchar(60) not null,
    host varchar(200) not null,
    port integer not null,
    login varchar(60) not null,
    sealed_password varbinary(2000),
    commands varchar(2000) not null,
    keep_alive_seconds integer not null,
    skimmer boolean not null
);

-- What the operators are after: goals, watch list and the like, as JSON; one row.
create table on_air_choices (
    id integer primary key,
    version integer not null,
    content varchar(20000) not null
);

-- Named filters of what is on the air, as JSON.
create sequence on_air_view_seq start with 1 increment by 1;
create table on_air_view (
    id bigint primary key,
    version integer not null,
    name varchar(60) not null,
    content varchar(4000) not null
);

-- The sun's numbers as the feeds told them.
create table solar_reading (
    at timestamp(3) with time zone primary key,
    flux integer,
    a_index integer,
    k_index integer
);
