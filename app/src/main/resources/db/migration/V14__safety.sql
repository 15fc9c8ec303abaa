-- Programs transmit only where the operator allowed it, and never longer than the limit.
alter table radio add column share_transmit boolean default false not null;
alter table radio add column keying_limit_s integer default 180 not null;
-- The rotator that turns this radio's antenna; empty: the first one that can point there.
alter table radio add column rotor_id bigint;

-- A rotator may rest so far from where it was sent.
alter table rotor add column tolerance_degrees double precision default 3 not null;

-- The radio a source's contacts are made on, for records that name neither band nor frequency.
alter table intake_source add column radio_id bigint;

-- A record may have hundreds of fields, each with its source.
alter table contact alter column provenance set data type varchar(200000);
alter table contact_past alter column provenance set data type varchar(200000);

-- Why a stored password was cleared, until a new one is given.
alter table service add column secret_note varchar(300);
alter table callbook add column secret_note varchar(300);
alter table feed add column secret_note varchar(300);

-- Whether the second copy is to be written anew: contacts in it were edited or deleted, or it never held all of them.
alter table safety add column copy_stale boolean default true not null;
