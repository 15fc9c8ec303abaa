-- What the positions that work one contest book tell each other, and the stations they pass on.
create sequence contest_message_seq start with 1 increment by 1;

create table contest_message (
    id bigint primary key,
    book_id bigint not null references contest_book (id) on delete cascade,
    sent_at timestamp(3) with time zone not null,
    sender varchar(60) not null,
    -- null for all positions
    to_position bigint,
    addressee varchar(60),
    -- empty for a station that is passed on
    wording varchar(200) not null,
    -- of the station that is passed on, and where it is sent to
    call_sign varchar(40),
    frequency_hz bigint,
    taken boolean not null
);

create index contest_message_of_book on contest_message (book_id, id);

-- Bands that one position works alone.
create table contest_band (
    book_id bigint not null references contest_book (id) on delete cascade,
    band varchar(20) not null,
    position_id bigint not null,
    primary key (book_id, band)
);
