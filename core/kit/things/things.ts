import type { Caution } from '../cautionNames'

// What things are, with the cautions of each. The longest name that fits is meant, and what has none is here so that a word in it means nothing: an egg timer is no egg.
// Plurals and other spacing need no line of their own; kinds that hold many names stand in lexicon.ts.
export const THINGS: Record<string, string> = {
  hot: `kettle, boiling water, boiled water, hot water, steam, soup, stew, porridge, gravy, cup of tea, mug of tea, pot of tea, flask of tea, cup of coffee, hot chocolate, teapot, coffee pot, thermos of tea,
    hot water bottle, radiator, griddle, candle wax, melted wax, hot wax, molten wax, plaster of paris, embers, hot coals, charcoal, sauna stone, hot stone, hand warmer, baking tray from the oven, urn`,
  'flame hot': `barbecue, bbq, grill, hob, burner, camping stove, gas stove, wood stove, fireplace, campfire, bonfire, fire pit, fondue set, raclette`,
  flame: `tea light, tealight, flame, match, matchstick, matches, lighter, splint, taper, gas ring, firework, sparkler, incense, incense stick, joss stick, torch with a flame, oil lamp, paraffin lamp, kerosene lamp, storm lantern,
    flash paper, gas canister, gas bottle, open fire, burning, lit candle, smoke, =gas torch, blowtorch, blow torch, blowlamp, cigarette lighter`,
  'hot mains': `toastie maker, heat mat, reptile lamp, vivarium lamp, lava lamp, electric grill, electric hob, electric cooker, induction hob, electric kettle, iron, flat iron, steam iron, lamp, lightbulb, light bulb, bulb 60 w, microwave, oven, toaster, hair dryer, hairdryer, hair straightener, straightener, curling tongs, glue gun, hot glue gun, heat gun, hot plate, hotplate,
    fan heater, heater, slow cooker, rice cooker, air fryer, fryer, deep fryer, soldering iron, soldering kit, pressure cooker, coffee machine, coffee maker, sandwich maker, waffle maker, popcorn maker, popcorn machine, heat lamp, infrared lamp,
    overhead projector, laminator, heated tray, incubator, kiln, wallpaper steamer, dehydrator, yoghurt maker, bread maker, egg boiler, immersion heater, food warmer, bottle warmer, halogen lamp, spotlight, floodlight`,
  mains: `plug, karaoke machine, disco light, strobe light, strobe, usb charger, phone charger, laptop, monitor, smart board, speaker with a plug, mains, socket, extension lead, extension cable, extension cord, power strip, power cable, power supply, charger, adapter, adaptor, transformer, electric fan, desk fan, ceiling fan, standing fan, table fan, fan, projector, slide projector,
    television, computer, printer, desk light, desk lamp, floor lamp, bedside light, fairy lights, string of lights, christmas lights, neon light, electric blanket, heat pad, heating pad, food mixer, stand mixer, hand mixer, mixer, blender, liquidiser, food processor, hand blender,
    vacuum cleaner, hoover, electric drill, power drill, drill, sewing machine, aquarium pump, aquarium heater, air pump electric, dehumidifier, humidifier, treadmill, record player, guitar amplifier, amplifier, loudspeaker, washing machine, tumble dryer, dishwasher, electric, electrical, plugged in, clip on light, light box, lightbox, 230 v, 240 v, 120 v, 110 v`,
  'very-cold': 'dry ice, freezer spray, freeze spray, liquid nitrogen, cool spray, cooling spray, frozen carbon dioxide',
  blade: `scissors, scissor, knife, blade, cutter, guillotine, saw, hacksaw, skewer, kebab stick, barbecue stick, bamboo stick, scalpel, razor, razor blade, needle, sewing needle, knitting needle, cocktail stick, toothpick, grater, peeler, shears, secateurs, chisel, axe, hatchet, awl, bradawl, pair of compasses, drawing compass, maths compass,
    box cutter, craft knife, utility knife, penknife, bread knife, pizza cutter, pizza wheel, tin opener, can opener, mandoline, potato peeler, apple corer, corkscrew, barbed wire, sharp edge, sharp edges, sharp point, tin lid, cut tin, opened tin, open tin, broken tile, shard, splinter, flint, arrowhead, dart, darts, fish hook, garden fork, trowel edge, wire cutter, wire cutters, pliers, rotary cutter, lino cutter, paper trimmer, fork prongs`,
  'blade small-parts': `drawing pin, thumb tack, thumbtack, tack, map pin, push pin, pushpin, pin, dressmaking pin, dressmaker's pin, straight pin, safety pin, iron nail, nail, staple, tin tack, hair pin, hairpin, kirby grip`,
  glass: `glass, mirror, crystal bowl, glassware, window pane, pane, glass jar, jam jar, test tube, beaker, conical flask, boiling tube, petri dish glass, light bulb, lightbulb, prism, crystal vase, vase, wine glass, looking glass, glazing, picture frame, microscope slide, cover slip, thermometer with mercury, glass thermometer, bottle of glass, wine bottle, beer bottle, snow globe, hourglass, fish tank, aquarium, terrarium, porcelain cup, china cup, crockery, ceramic tile`,
  'glass hot': 'light bulb, lightbulb, filament bulb, halogen bulb',
  latex:
    'latex, rubber glove, balloon, water balloon, elastic band, rubber band, elastic, swimming cap, rubber sheet, rubber tubing, bungee, bungee cord, washing-up glove, loom band, hair elastic, latex glove',
  'food-allergy': `nut, cheddar, mozzarella, parmesan, brie, feta, cottage cheese, breadstick, peanut, almond, hazelnut, walnut, cashew, pistachio, pecan, macadamia, brazil nut, marzipan, praline, nougat, pesto, peanut butter, egg, eggshell, egg shell, egg white, egg yolk, meringue, mayonnaise, mayo, custard, milk, milk powder, powdered milk, oat milk, soya milk, soy milk, almond milk, cream, ice cream, yoghurt, yogurt, cheese, butter, margarine, ghee, whey, wheat, flour, cornflour, semolina, couscous, bulgur, barley, rye, oats, oatmeal, porridge, muesli, granola, cereal, cornflakes,
    breakfast cereal, bran, bread, breadcrumbs, crumbs, toast, pitta, tortilla, pizza, dough, pastry, batter, pancake, yeast, sesame, sesame seed, tahini, hummus, houmous, halva, soya, soy, tofu, miso, soy sauce, honey, chocolate, cocoa, cocoa powder, hot chocolate, milkshake, biscuit, cracker, cookie, cake, muffin, waffle, doughnut, pasta, spaghetti, macaroni, noodle, lasagne, mustard, mustard powder, mustard seed, celery, celeriac, lupin, fish, tuna, salmon, sardine, anchovy, prawn, shrimp, crab, lobster, mussel, oyster, squid, sweets, toffee, fudge, caramel, crisps, popcorn, rice pudding, jelly sweets, marshmallow, gelatine, strawberry, kiwi, sandwich, malt, malted drink, snack`,
  'small-parts': `bead, paper clip, paperclip, clip, small part, washer, small brick, brick stud, coin, penny, pennies, pence, cent, dime, nickel, quarter coin, 1p, 2p, 5p, 10p, button, ball bearing, sequin, googly eye, wobbly eye, pom pom, =nut and bolt, =nuts and bolts, bolt, screw, =wing nut, =hex nut, =steel nut, =metal nut, =brass nut, rivet, split pin, brass fastener, marble, gravel, pebble, shingle, stone chip, grit, limestone chip, chickpea, dried pea, dried bean, pea, bean, lentil, rice, peppercorn, popcorn kernel, kernel, corn kernel, dice, die, counter, bottle top, bottle cap, pen lid, jewel, gem, glass bead, glass marble, acorn, conker, shell, cherry stone, olive stone, date stone, fruit stone, butter bean, kidney bean, jelly bean, water bead, hydrogel ball, foam ball, polystyrene ball, polystyrene bead, packing chip, magnetic ball, small ball, eraser tip, tiddlywink, domino, building brick, pasta shape, peg, tiny, raisin, grape, currant, blueberry, sweetcorn, cotton reel end, nail, eyelet, press stud, snap fastener, safety eye, jingle bell, googly eyes`,
  'small-parts soil': 'seed, sunflower seed, pumpkin seed, cress seed, bird seed, birdseed, grass seed, bulb to plant',
  magnets: 'magnet, magnetic ball, magnetic tile, lodestone, neodymium, magnetic strip, magnetic putty, magnetic',
  batteries:
    'battery, button cell, coin cell, battery pack, battery box, battery holder, power bank, torch, flashlight, head torch, headlamp, battery lantern, rechargeable cell, lithium cell, aa cell, aaa cell, led light, led tea light, led candle, led string, battery candle, electronic toy',
  mould:
    'mould, mouldy, mold, moldy, rotting, rotten, stale bread, fungus, spores, spore, mildew, blue cheese, compost bin, petri dish of bacteria, bacteria, culture plate, agar, agar plate, sour milk, curdled milk',
  'burning-liquid': `spirit, alcohol, rubbing alcohol, ethanol, methanol, isopropanol, isopropyl, petrol, gasoline, diesel, acetone, paraffin, kerosene, oil lamp, paraffin lamp, kerosene lamp, storm lantern, fuel, firelighter, lighter fluid, lighter fuel, nail varnish remover, nail polish remover, nail varnish, nail polish, methylated, methylated spirits, meths, white spirit, turpentine, turps, thinner, paint thinner, paint stripper, lamp oil, barbecue lighter fluid, perfume, aftershave, cologne, hairspray, aerosol, deodorant spray, spray paint, spray can, varnish, wood stain, solvent, contact glue, rubber cement, vodka, whisky, brandy, rum, essential oil`,
  'burning-liquid eyes':
    'hand gel, hand sanitiser, hand sanitizer, sanitiser, sanitizer, sanitiser gel, hairspray, aerosol, deodorant, deodorant spray, spray paint',
  irritant: `washing soda, soda crystals, washing powder, laundry powder, laundry pod, laundry capsule, laundry tablet, detergent powder, dishwasher tablet, dishwasher salt, chilli, chili, chilli flakes, pepper powder, cayenne, paprika, caustic, caustic soda, lye, sodium hydroxide, quicklime, slaked lime, garden lime, lime, cement, concrete, mortar, plaster of paris, plaster, grout, borax, boric acid, alum, copper sulphate, copper sulfate, silver nitrate, iodine, potassium permanganate, superglue, super glue, epoxy, resin, expanding foam, insulation wool, glass wool, fibreglass insulation, nettle, nettles, stinging nettle, hogweed, weedkiller, weed killer, pesticide, insecticide, slug pellets, fertiliser, fertilizer, plant food, pool chlorine, chlorine, tile cleaner, polish, metal polish, shoe polish, creosote, hair dye, hair bleach`,
  'irritant eyes': `bleach, acid, hydrochloric acid, ammonia, peroxide, hydrogen peroxide, oven cleaner, drain cleaner, drain unblocker, toilet cleaner, bathroom cleaner, kitchen cleaner, window cleaner, glass cleaner, descaler, limescale remover, rust remover, stain remover, mould remover, graffiti remover, limewash, lime water, limewater, whitewash, quicklime, caustic soda, household cleaner, disinfectant, all-purpose cleaner, chilli, chili, chilli powder, chili powder, washing powder, plaster of paris`,
  eyes: `vinegar, lemon juice, lime juice, citric acid, onion, talc, talcum, talcum powder, baby powder, pepper, curry powder, ginger powder, mustard powder, spice, spices, cinnamon, ground cinnamon, turmeric, nutmeg, sand, glitter, filings, iron filings, sawdust, wood shavings, dust, chalk dust, ash, wood ash, powder, powder paint, baking powder, icing sugar, custard powder, cocoa powder, salt spray, spray, spray bottle, squirty bottle, water pistol, water gun, syringe, wire, wires, flying, shaving foam, =shaving cream, detergent, laser, laser pointer, uv lamp, uv torch, ultraviolet torch, confetti, feathers, party popper, popper, skewer, kebab stick, wooden skewer, splinters, swarf, steel wool, wire wool, grinder, pump, air pump, bicycle pump, bike pump, balloon pump, fizzy drink, effervescent tablet, film canister, bottle rocket, rocket, water rocket, stomp rocket`,
  'eyes snapping': `slingshot, sling shot, catapult, launcher, elastic band launcher, bow and arrow, crossbow, archery set, peashooter, pea shooter, toy gun, dart gun, spring gun, mousetrap, mouse trap, pressure pump, bungee, bungee cord, shock cord, stretched wire, guitar string, piano wire, fishing line under load, trebuchet, ballista, spring launcher`,
  snapping: `elastic, elastic band, rubber band, spring, coil spring, spring steel, metal ruler bent, bent ruler, tape measure that springs back, resistance band, exercise band, hair elastic, loom band, trampoline, launch, launched, launching, clothes peg spring, bulldog clip, ratchet strap, tight rope, catapult`,
  climbing:
    'ladder, step ladder, stepladder, steps to stand on, balcony rail, balcony, gallery, climbing frame, wall bars, scaffolding, scaffold, rooftop, roof, treehouse, tree house, high wall, rope ladder, climbing rope, climb on, climb onto, climbing wall, from the roof, from upstairs, from a height, from high up, loft, attic hatch, step stool, trapeze, monkey bars',
  spill: `water, ice, ice cube, snow, slush, hail, syrup, treacle, oil, cooking oil, tray of, jug, juice, soap, soap solution, milk, vinegar, shampoo, washing-up liquid, washing up liquid, paint, ink, dye, food colouring, gelatine, jelly, glycerine, glycerin, bubble mix, lemonade, cola, squash, cordial, fizzy drink, drink, tea, coffee, cocoa, milkshake, smoothie, soup, custard, sauce, ketchup, gravy, lotion, liquid, slime, gloop, puddle, paddling pool, pool, bath, bucket, watering can, hose, hosepipe, bowl of, basin, washbasin, tank, aquarium, fish tank, fountain, rain gauge, drink bottle, pond water, sea water, salt water, spring water, rainwater, tap water, compost tea, wallpaper paste, pva, liquid glue`,
  soil: `soil, compost, compost tea, potting mix, potting soil, earth, mud, dirt, clay from the garden, turf, peat, plant, seedling, cress, grass, weed, nettle leaf, pansy, marigold, sunflower, violet, primrose, lily, iris, carnation, buttercup, clover, lavender, bluebell, crocus, snowdrop, hyacinth, geranium, poppy, blossom, petal, moss, lichen, fern, ivy, flower, dandelion, daisy, tulip, daffodil, rose, bouquet, pollen, hay, hay bale, straw bale, bale, leaf, leaves, leaf litter, leaf mould, bark, twig from outside, pine cone, fir cone, log, tree stump, feather, fur, wool fresh from a sheep, worm, earthworm, snail, slug, woodlouse, woodlice, beetle, ant, insect, spider, bug hotel, caterpillar, tadpole, frogspawn, pond water, pond, ditch water, puddle water, stream water, river water, bird's nest, nest, owl pellet, manure, horse manure, droppings, guinea pig, hamster, rabbit, chicken, dog, cat, litter, pet, animal, mushroom, toadstool, bean plant, pot plant, houseplant, cactus, vegetable from the garden, potato with soil, carrot tops, root vegetable, seaweed`,
  sun: `sunlight, sunshine, =magnifying glass, magnifier, =burning glass, hand lens, lens, telescope, binoculars, look at the sun, solar viewer, eclipse glasses, eclipse, solar cooker, solar oven, outdoors, outside in summer, midday sun`,
  // What only sounds like one of them.
  none: `fridge, freezer, refrigerator, fridge door, glass of, milk carton, milk bottle, milk bottle top, egg box, egg carton, egg cup, egg timer, egg and spoon, hand cream, sun cream, face cream, cold cream, butter knife, plastic knife, plastic fork, bread board, breadboard, bread bin, bread bag, cake tin, cake case, cake mould, bun case, muffin case, biscuit tin, biscuit cutter, ironing board, spirit level, spring balance, spring onion, jelly mould, chocolate mould, ice cube tray, clothes pin, clothes peg, rolling pin, bowling pin, pin board, pinboard, pinwheel, pine needle, match box, matchbox, water-based paint, water colour, watercolour, watermelon, water lily card, lime green, pea green, sea green, pepper pot, plant pot, flower pot, flowerpot, bean bag, beanbag, butterfly, butterfly net, buttercup card, coffee filter, filter paper, tea towel, tea tray, tea cosy, paper plate, paper straw, drinking straw, straw, straw hat, sunflower picture, sun hat, sunhat, sunglasses, sunscreen, sunday, sandpaper, sand paper, sand timer, sandbag, sand coloured,
    paper fan, hand fan, folding fan, stone age, cardboard, honeycomb, hairnet, hair band, headband, rubber duck, rubber stamp, rubber mat, rubber, rubber sole, rubber ball, fibreglass, glass fibre, fibreglass rod, looking, glasses, eye glasses, reading glasses, 3d glasses, nitrile glove, vinyl glove, cotton glove, coconut, coconut fibre, coconut shell, nutmeg grater, hazel, hazel twig, chestnut brown, peanut-shaped, doughnut-shaped, nutshell model, magnetic field film, magnetic tape, magnetic north, compass, step-by-step, step by step, chair, table of, watertight, waterproof, paintbrush, paint brush, ink pad, toilet roll tube, kitchen roll, cork tile, ballpoint, balloon card, football, tennis ball, basketball, ping pong ball, table tennis ball, rubber ball, ball of wool, ball of string, bouncy ball, beach ball, exercise ball, crocodile clip, alligator clip, bell jar, wind chime, plaster tape, sticking plaster, chip, crisp packet, crisp bag, cereal box, cheese cloth, cheesecloth, fish and chips card, shell suit, egg-shaped, battery hen, torch song, plug in the bath, bath plug, sink plug, iron-on, iron oxide card, iron bar, iron block, iron rod, iron ring, nail brush, nail file, fingernail, toenail, finger nail, needlework card, needle felt, saw-tooth, sawtooth, seesaw, see-saw, blade of grass, grass green, leaf shape, leaf green, rose pink, dog lead, cat toy, catwalk, litter picker, rocket leaves, spice rack, dust sheet, dustpan, powder blue, wire rack, fan of, saw the, saw that, saw how, saw it, saw what, saw a, match the, match up, match each, match these, match your, match pairs, matching, matched, in spring, this spring, early spring, late spring, spring term, spring flower, ball-park, string, fire exit, fire drill, firefly, snowman card, snowflake, ice lolly stick, lolly stick, ice skate, oil painting, oilcloth, soap dish, jug handle, bucket handle, pool noodle, drinking bottle empty, tank top, bath mat, bath towel, sink unit, clip board, clipboard, peg board, pegboard, cotton reel, die-cut, counter top, worktop, stonewash, gem-shaped, jewel box, bell-shaped, corkboard, cork board, cork mat`,
}

/** Words behind a thing that only show it: a sunflower poster, a saw-tooth pattern. */
export const PICTURED = wordsIn(
  'picture pictures poster posters drawing drawings photo photos pattern patterns sticker stickers story book books song songs game games puzzle puzzles chart charts diagram map badge print prints wallpaper wallpapers costume',
)
/** Words behind a thing that make something else of it: honeycomb card, a tea cloth, a glass fibre rod. What holds a thing still has it in it, unless it is said to be empty. */
export const MADE_OTHER = wordsIn(
  `board boards card cards cardboard paper papers cloth cloths fabric towel towels net nets hat hats cap caps shape shapes shaped colour colours coloured color colors colored cycle cycles mat mats car cars model models
  filter filters fibre fibres fiber wheel wheels leg legs label labels stamp stamps pen pens crayon crayons ribbon twig twigs cone apron timer timers`,
)
export const HOLDERS = wordsIn(
  'box boxes carton cartons tub tubs packet packets wrapper wrappers crate crates jar jars pot pots tin tins can cans bag bags bottle bottles',
)
/** Cautions that a made thing keeps: what cuts or breaks in it, a magnet or a battery. */
export const KEPT_IN = new Set<Caution>([
  'snapping',
  'blade',
  'glass',
  'latex',
  'magnets',
  'batteries',
  'mains',
  'burning-liquid',
  'irritant',
])

export const COLOURS = wordsIn('green blue red yellow brown white black pink purple orange grey gray colour coloured color colored')
/** Cautions of what a colour is called after. */
export const ONLY_IN_NAME: Caution[] = ['food-allergy', 'small-parts', 'eyes', 'irritant', 'soil', 'spill']

/** Words right before a thing that say it is none: a toy iron, paper flowers. */
export const NOT_REAL = wordsIn('toy pretend fake artificial imitation model felt knitted crocheted cardboard paper silk fabric')
/** Cautions that need the real thing; scissors for paper cut, and a toy's magnets are swallowed all the same. */
export const ONLY_WHEN_REAL: Caution[] = [
  'hot',
  'flame',
  'mains',
  'food-allergy',
  'mould',
  'burning-liquid',
  'irritant',
  'spill',
  'soil',
  'climbing',
]
/** What it is made of or runs on, said right before it, and what that takes away. */
export const TAKES_AWAY: Record<string, Caution[]> = {
  plastic: ['glass'],
  acrylic: ['glass'],
  perspex: ['glass'],
  polycarbonate: ['glass'],
  led: ['flame', 'hot', 'mains'],
  solar: ['mains'],
  cold: ['hot'],
  electric: ['flame'],
  flameless: ['flame'],
}

function wordsIn(written: string): Set<string> {
  return new Set(written.split(/\s+/))
}
