-- Where a picture stands that is given by address; its bytes are that address.
alter table media add address text not null default '';
