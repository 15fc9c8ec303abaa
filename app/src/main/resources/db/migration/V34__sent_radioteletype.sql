-- Whether a program with decoders may send texts for the operator; off until somebody allows it.
alter table text_program add column send_texts boolean default false not null;
