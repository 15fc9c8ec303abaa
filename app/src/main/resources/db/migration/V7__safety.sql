-- Where contacts are kept besides the log.
create table safety (
    id integer primary key,
    version integer not null,
    -- null for no second copy
    copy_folder varchar(400),
    -- null for the folder beside the log
    backup_folder varchar(400),
    backup_daily boolean not null,
    backup_on_exit boolean not null,
    backups_kept integer not null
);

insert into safety (id, version, backup_daily, backup_on_exit, backups_kept) values (1, 0, true, true, 14);

-- Contacts that the second copy does not have yet.
create table second_copy_due (
    contact_id bigint primary key
);
