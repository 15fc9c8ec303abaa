-- Whether a radio sends texts for the operator; off until somebody allows it.
alter table radio add column send_texts boolean default false not null;

-- Texts that say something else than what one starts with, and those on keys of their own.
create table contest_text (
    way varchar(10) not null,
    slot varchar(10) not null,
    wording varchar(120) not null,
    primary key (way, slot)
);

-- Serials that were sent to a station before the contact is logged: nobody else gets them.
create table contest_serial (
    book_id bigint not null references contest_book (id) on delete cascade,
    line_key varchar(60) not null,
    serial int not null,
    call_sign varchar(40) not null,
    sent_at timestamp(3) with time zone not null,
    primary key (book_id, line_key),
    unique (book_id, serial)
);
