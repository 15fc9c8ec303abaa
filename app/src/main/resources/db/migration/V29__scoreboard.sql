-- How scores are posted to the live scoreboard; one row.
create table scoreboard (
    id int primary key,
    version int not null,
    address varchar(200),
    account varchar(60),
    sealed_password varbinary(1000),
    secret_note varchar(300),
    team varchar(60) default '' not null,
    every_minutes int default 5 not null,
    -- what the scoreboard allows at most
    allowed_every_s int default 120 not null
);

insert into scoreboard (id, version) values (1, 0);

-- The last score that was posted of each book; 0 for those that are typed by hand.
create table scoreboard_post (
    book_id bigint primary key,
    posted_at timestamp(3) with time zone not null,
    score bigint not null,
    contacts int not null
);
