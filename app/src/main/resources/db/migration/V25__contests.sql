-- Definitions of contests that were written here; those that ship are not stored.
create sequence contest_definition_seq start with 1 increment by 1;

create table contest_definition (
    id bigint primary key,
    version integer not null,
    name varchar(80) not null unique,
    text clob not null
);

-- A book: one contest as one own call takes part in it. Its contacts are those of the log with that call in its span.
create sequence contest_book_seq start with 1 increment by 1;

create table contest_book (
    id bigint primary key,
    version integer not null,
    contest varchar(80) not null,
    -- the rules as they were when the book was begun
    definition clob not null,
    own_call varchar(20) not null,
    power varchar(20) not null,
    starts_at timestamp with time zone not null,
    -- the first moment after it
    ends_at timestamp with time zone not null
);

-- What the own station sends, but for reports and serials.
create table contest_book_sent (
    book_id bigint not null references contest_book (id) on delete cascade,
    field varchar(20) not null,
    sent varchar(20) not null,
    primary key (book_id, field)
);
