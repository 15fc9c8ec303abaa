-- A batch is read when it is sent; where it stands is read all the time, and must not carry the batch along.
create table handover_content (
    handover_id bigint primary key,
    content varbinary(10000000) not null
);

insert into handover_content (handover_id, content)
select id, content from handover where octet_length(content) > 0;

alter table handover drop column content;

create index handover_by_service on handover (service_id, id);

-- Where contacts signed with an identity were made when they do not say so themselves.
alter table signing_identity add column place_id bigint;

-- Pictures put to contacts, for services that show pictures.
create table contact_picture (
    contact_id bigint primary key,
    version integer not null,
    content_type varchar(20) not null,
    -- null once it was taken away here and is still to be taken away there
    content blob(1000000),
    added_at timestamp(3) with time zone not null,
    sent_number varchar(40),
    sent_at timestamp(3) with time zone,
    trouble varchar(600)
);
