-- Where the first fetch of confirmations began: when older contacts come into the log, what lies before it is asked for, too.
alter table service add column confirmations_from timestamp(3) with time zone;

-- What was fetched until now began with the log of its day; nothing says when that was, so the sweep goes on with it.
update service set confirmations_from = timestamp with time zone '1900-01-01 00:00:00Z' where confirmations_until is not null;
