-- the heat of a boil is told by its bubbles alone since: what an older trial found means something else
update kitchen
set content = json_remove(content, '$.calibrated.ROLLING_BOIL', '$.calibrated.GENTLE_BOIL', '$.calibrated.SIMMER')
where json_exists(content, '$.calibrated');
