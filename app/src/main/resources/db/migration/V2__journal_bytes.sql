-- The raw text as its UTF-8 bytes: H2 writes strings character by character, and this is the longest of them all.
alter table intake_journal alter column raw set data type varbinary(264000);
