BEGIN TRANSACTION;
CREATE TABLE alembic_version (
	version_num VARCHAR(32) NOT NULL, 
	CONSTRAINT alembic_version_pkc PRIMARY KEY (version_num)
);
INSERT INTO "alembic_version" VALUES('0001');
CREATE TABLE batch (
	id VARCHAR NOT NULL, 
	draft VARCHAR NOT NULL, 
	revision INTEGER NOT NULL, 
	made_at VARCHAR NOT NULL, 
	changed_at VARCHAR NOT NULL, 
	PRIMARY KEY (id)
);
INSERT INTO "batch" VALUES('670f2793-a00e-45d6-9846-865a4785f894','{"name":"Saturday legs","cut":{"kind":"chicken_leg","mass":"2.6 kg","shape":"slab","thickness":"16 mm","pieces":"9","blocked_faces":"1","bone_share":"24"},"mix":[{"id":"1","text":"600 g yoghurt"},{"id":"2","text":"4 tbsp vadouvan"},{"id":"3","text":"juice of half a lemon"},{"id":"4","text":"8 cloves garlic"},{"id":"5","text":"3 cm ginger"},{"id":"6","text":"29 g fine salt"},{"id":"7","text":"a good splash of rapeseed oil"}],"hold":{"fridge":"4","goal":"through","salt_target":"12"},"meal":{"at":"2026-11-28T19:00","lead":"90 min","time_zone":"Europe/Lisbon"}}',1,'2026-11-25T20:04:09.538759+00:00','2026-11-25T20:04:09.538759+00:00');
INSERT INTO "batch" VALUES('d16f357f-45cc-4763-b298-054abaccc842','{"name":"Slip skewers","cut":{"kind":"lamb_shoulder_cubes","mass":"1.8 kg","shape":"cube","thickness":"30 mm","pieces":"","blocked_faces":"","bone_share":""},"mix":[{"id":"1","text":"juice of 2 lemons"},{"id":"2","text":"1 1/2 tbsp dried oregano"},{"id":"3","text":"90 ml olive oil"},{"id":"4","text":"6 bay leaves"},{"id":"5","text":"22 g fine sea salt"}],"hold":{"fridge":"4","goal":"through","salt_target":"12"},"meal":{"at":"2026-11-28T19:00","lead":"45 min","time_zone":"Europe/Lisbon"}}',1,'2026-11-25T20:04:09.544759+00:00','2026-11-25T20:04:09.544759+00:00');
INSERT INTO "batch" VALUES('59f4cfcd-77e0-4fca-8d72-da727d7365e3','{"name":"Quick flank","cut":{"kind":"beef_flank","mass":"900 g","shape":"slab","thickness":"12 mm","pieces":"","blocked_faces":"","bone_share":""},"mix":[{"id":"1","text":"80 g kiwi"},{"id":"2","text":"2 tbsp mustard"},{"id":"3","text":"3 tbsp rapeseed oil"},{"id":"4","text":"1 tbsp honey"},{"id":"5","text":"1 1/2 tsp fine sea salt"}],"hold":{"fridge":"4","goal":"","salt_target":"12"},"meal":{"at":"2026-11-28T19:00","lead":"30 min","time_zone":"Europe/Lisbon"}}',1,'2026-11-25T20:04:09.546913+00:00','2026-11-25T20:04:09.546913+00:00');
INSERT INTO "batch" VALUES('cfeca2cd-0b7a-48a6-8cb2-42948dfde238','{"name":"Harbour tofu","cut":{"kind":"tofu_firm","mass":"800 g","shape":"slab","thickness":"25 mm","pieces":"4","blocked_faces":"","bone_share":""},"mix":[{"id":"1","text":"2 tbsp tamarind paste"},{"id":"2","text":"1 tsp turmeric"},{"id":"3","text":"150 ml coconut milk"},{"id":"4","text":"60 ml soy sauce"}],"hold":{"fridge":"4","goal":"","salt_target":"12"},"meal":{"at":"2026-11-28T19:00","lead":"40 min","time_zone":"Europe/Lisbon"}}',1,'2026-11-25T20:04:09.548868+00:00','2026-11-25T20:04:09.548868+00:00');
INSERT INTO "batch" VALUES('4328060f-487f-45d9-878d-94651d62f9ff','{"name":"Crown for Sunday","cut":{"kind":"turkey_crown","mass":"2.9 kg","shape":"slab","thickness":"60 mm","pieces":"2","blocked_faces":"1","bone_share":""},"mix":[{"id":"1","text":"1 l buttermilk"},{"id":"2","text":"45 g fine salt"},{"id":"3","text":"6 sprigs thyme"},{"id":"4","text":"1 tbsp black pepper"}],"hold":{"fridge":"4","goal":"surface","salt_target":"12"},"meal":{"at":"2026-11-29T19:00","lead":"3 h","time_zone":"Europe/Lisbon"}}',1,'2026-11-25T20:04:09.550874+00:00','2026-11-25T20:04:09.550874+00:00');
CREATE INDEX ix_batch_changed_at ON batch (changed_at);
COMMIT;
