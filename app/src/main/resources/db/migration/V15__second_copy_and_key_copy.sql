-- Edits, deletions and restorings that the second copy does not show yet: it is written anew after them.
create table second_copy_edit (
    id bigint primary key,
    made_at timestamp(6) with time zone not null
);
create sequence second_copy_edit_seq start with 1 increment by 1;

-- A file found in the folder of the second copy that this log did not write is set aside before the first word is written.
alter table safety add column copy_of_another_log boolean default true not null;
alter table safety drop column copy_stale;

-- The key of the stored passwords, sealed with a passphrase of the operator, so that it travels in backups; null when not wanted.
alter table safety add column key_copy varbinary(2000);
-- Sealed with the key itself: it opens where that key is known.
alter table safety add column key_copy_mark varbinary(200);
