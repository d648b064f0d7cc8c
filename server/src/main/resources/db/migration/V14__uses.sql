-- what was used of a bottle, by whom and for what: rows that doses, limits and plans can reckon with
create table bottle_use (
  id bigint not null auto_increment primary key,
  household_id uuid not null,
  bottle_id uuid not null,
  used_at datetime(6) not null,
  millilitres double not null,
  who varchar(80),
  purpose varchar(20),
  undone boolean not null,
  constraint bottle_use_bottle_whose foreign key (household_id, bottle_id) references bottle (household_id, id) on delete cascade
);
create index bottle_use_of_bottle on bottle_use (bottle_id, id);
create index bottle_use_recent on bottle_use (household_id, used_at);

insert into bottle_use (household_id, bottle_id, used_at, millilitres, undone)
select h.household_id, h.bottle_id, h.happened_at, h.millilitres, h.undone
from happening h join bottle b on b.id = h.bottle_id and b.household_id = h.household_id
where h.kind in ('TAKEN', 'FINISHED') and h.millilitres > 0 and h.detail not like 'poured into %'
order by h.id;
