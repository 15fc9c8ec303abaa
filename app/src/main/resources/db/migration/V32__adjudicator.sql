-- The account under which contest logs are handed in to the adjudicator; one row.
create table adjudicator (
    id int primary key,
    version int not null,
    address varchar(200),
    account varchar(60),
    sealed_password varbinary(1000),
    secret_note varchar(300)
);

insert into adjudicator (id, version) values (1, 0);

-- What became of the log of a book at the adjudicator.
create table handed_in_log (
    book_id bigint primary key references contest_book (id) on delete cascade,
    version int not null,
    -- the log that was taken, with the ids of its contacts in the order of its lines; null while none was
    log_text clob,
    contact_ids clob,
    receipt varchar(60),
    words varchar(300) default '' not null,
    taken_at timestamp(3) with time zone,
    claimed bigint default 0 not null,
    -- when to ask for the report; null when nobody asks any more
    ask_at timestamp(3) with time zone,
    -- after the check; null before
    checked_score bigint,
    -- the last refusal; null when the last log was taken
    refused_at timestamp(3) with time zone,
    refusal varchar(300)
);

create index handed_in_log_due on handed_in_log (ask_at);

-- What was wrong with lines of the last log that was refused.
create table handed_in_refused_line (
    book_id bigint not null references handed_in_log (book_id) on delete cascade,
    place int not null,
    line int not null,
    contact_id bigint,
    words varchar(310) not null,
    right_call varchar(40),
    points_lost bigint not null,
    primary key (book_id, place)
);

-- What the check of the log that was taken found.
create table handed_in_finding (
    book_id bigint not null references handed_in_log (book_id) on delete cascade,
    place int not null,
    line int not null,
    contact_id bigint,
    words varchar(310) not null,
    right_call varchar(40),
    points_lost bigint not null,
    primary key (book_id, place)
);
