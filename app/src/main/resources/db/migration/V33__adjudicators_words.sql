-- The words of the adjudicator are kept as a sentence, which may be a little longer than what it sent.
alter table handed_in_log alter column words varchar(310) default '' not null;
