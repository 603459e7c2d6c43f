"""A drawn plate, where a household would have a photo."""

from io import BytesIO

from PIL import Image, ImageDraw

SIZE = (1200, 900)
TABLE, CLOTH, PLATE, RIM = (226, 214, 190), (206, 190, 160), (250, 249, 244), (190, 184, 168)
CRUST, BONE, SAUCE = (92, 50, 34), (238, 228, 206), (120, 58, 30)


def plate_of_short_ribs() -> bytes:
    """Three blocks on the bone with their sauce, as JPEG."""
    made = Image.new("RGB", SIZE, TABLE)
    draw = ImageDraw.Draw(made)
    for left in range(0, SIZE[0], 80):
        draw.line((left, 0, left, SIZE[1]), fill=CLOTH, width=3)
    draw.ellipse((170, 80, 1030, 820), fill=PLATE, outline=RIM, width=8)
    draw.ellipse((270, 170, 930, 730), outline=RIM, width=3)
    draw.ellipse((320, 430, 880, 680), fill=SAUCE)
    for number in range(3):
        left = 350 + 180 * number
        draw.rounded_rectangle((left + 35, 560, left + 115, 660), 30, fill=BONE)
        draw.rounded_rectangle((left, 300, left + 150, 590), 36, fill=CRUST)
        for line in range(330, 560, 36):
            draw.line((left + 14, line, left + 136, line + 12), fill=SAUCE, width=6)
    written = BytesIO()
    made.save(written, "JPEG", quality=90)
    return written.getvalue()
