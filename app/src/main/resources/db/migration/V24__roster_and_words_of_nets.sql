-- What the operator says of the stations of a net, besides what their check-ins show.
create sequence net_member_seq start with 1 increment by 1;

create table net_member (
    id bigint primary key,
    version integer not null,
    net_id bigint not null references net (id) on delete cascade,
    call_sign varchar(20) not null,
    -- null where the name of the last check-in stands
    name varchar(80),
    -- taken off the roster: neither offered nor missed
    removed boolean not null,
    unique (net_id, call_sign)
);

-- The town or the country of a station, as the callbook has it.
alter table net_check_in add column place varchar(80);

-- The words that are typed for what a station says of itself; the usual ones until an operator chooses.
create table net_word (
    mark varchar(20) primary key,
    word varchar(20) not null
);
