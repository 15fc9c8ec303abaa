create sequence text_program_seq start with 1 increment by 1;

create table text_program (
    id bigint primary key,
    version integer not null,
    name varchar(60) not null,
    address varchar(300) not null
);
