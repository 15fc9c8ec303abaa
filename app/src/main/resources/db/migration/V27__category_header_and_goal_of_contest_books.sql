-- The choices a participant makes, but for the power class where it counts.
create table contest_book_category (
    book_id bigint not null references contest_book (id) on delete cascade,
    category varchar(20) not null,
    choice varchar(20) not null,
    primary key (book_id, category)
);

-- Further lines of the Cabrillo log, such as CLUB; a value of several lines makes as many lines there.
create table contest_book_header (
    book_id bigint not null references contest_book (id) on delete cascade,
    name varchar(20) not null,
    written varchar(600) not null,
    primary key (book_id, name)
);

-- The score the operator wants to reach; 0 for none.
alter table contest_book add column goal bigint default 0 not null;
