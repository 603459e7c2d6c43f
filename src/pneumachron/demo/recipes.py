"""Three recipes of the choir, written for a smoker, an oven and a slow cooker."""

SMOKED_BRISKET = """Allotment smoked brisket

Serves 8

Ingredients
1.5 kg brisket flat, in one piece
15 g coarse salt
1 Tbsp coarse black pepper
1 Tbsp brown sugar
2 tsp garlic granules
3 chunks apple wood
250 ml apple juice for spritzing
100 ml barbecue sauce

Method
Mix salt, pepper, sugar and garlic and rub over the brisket the evening before.
Bring the smoker to 110 °C with the apple wood.
Smoke the brisket for 6 to 7 hours, spritzing with apple juice every hour.
Wrap in paper and smoke 2 hours more, until it drapes over the knife.
Brush with the barbecue sauce, rest for 30 minutes, and slice across the grain.
"""

BRAISED_SHORT_RIBS = """# Short ribs for the snowed-in weekend

Serves 6

## Ingredients

- 1.8 kg bone-in short ribs, English cut, 5 cm thick
- 2 tsp salt
- 2 Tbsp plain flour
- 1 Tbsp oil
- 2 onions, chopped
- 3 carrots, in chunks
- 2 cloves garlic
- 1 Tbsp tomato paste
- 400 ml red wine
- 600 ml beef stock
- 2 bay leaves
- 1 Tbsp red wine vinegar
- a handful of parsley, chopped

## Method

1. Heat the oven to 160 °C. Salt the ribs and dust them with flour.
2. Brown them in the oil in a heavy casserole, in two batches.
3. Soften the onions, carrots and garlic, then stir in the tomato paste.
4. Add the wine and boil it down by half.
5. Put the ribs back with the stock and bay. Cover with the lid and braise in the oven for
   2 3/4 hours, until a spoon cuts the meat.
6. Skim the fat, simmer the sauce 15 minutes to thicken, sharpen it with vinegar.
7. Scatter with parsley.
"""

SLOW_SHOULDER = """Rehearsal-night pulled shoulder (slow cooker)

Feeds 10

2.2 kg boneless pork shoulder
20 g salt
2 Tbsp brown sugar
1 Tbsp smoked paprika
2 tsp ground cumin
1 tsp chilli flakes
250 ml apple juice
150 ml cider vinegar
250 ml ketchup
200 ml sour cream
soft rolls, to serve

Mix the salt, sugar and spices and rub over the shoulder.
Put it in the slow cooker and pour the apple juice and vinegar round it.
Cook on low for 9 to 10 hours.
Lift it out and pull it with two forks.
Stir the ketchup into the juice, boil it down, and fold it through the meat.
Serve on soft rolls with sour cream.
"""

RECIPES: tuple[tuple[str, tuple[str, ...]], ...] = (
    (SMOKED_BRISKET, ("allotment", "smoker")),
    (BRAISED_SHORT_RIBS, ("snowed in", "oven")),
    (SLOW_SHOULDER, ("rehearsal", "slow cooker")),
)
