-- A service is an account at one of a kind; there may be several of each kind.
alter table service add column kind varchar(20);
update service set kind = name;
alter table service alter column kind set not null;

alter table service add column hookup_id varchar(40);
update service set hookup_id = lower(name);
alter table service alter column hookup_id set not null;

-- an id is given once, so that what was kept of a removed account is never another's
create sequence service_seq start with 5;
