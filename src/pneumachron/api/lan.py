"""The phone in the kitchen: https with a certificate of our own making, and pairing codes.

Nothing on the network gets an answer without a cookie of its own; the machine itself needs none. A
pairing code is good once and for ten minutes. Only digests of cookies are kept.
"""

import ipaddress
import secrets
import socket
import time
from collections.abc import Callable, Iterable
from dataclasses import dataclass, field
from datetime import UTC, datetime, timedelta
from hashlib import sha256
from hmac import compare_digest
from pathlib import Path
from threading import Lock

from cryptography import x509
from cryptography.hazmat.primitives import hashes, serialization
from cryptography.hazmat.primitives.asymmetric import ec
from cryptography.x509.oid import NameOID

from pneumachron.files import make_private_folder, write_whole
from pneumachron.store import devices
from pneumachron.store.db import Database, writing

FOLDER = "lan"
VALID_DAYS = 397
"""Browsers take no longer ones. Published, CA/Browser Forum baseline requirements (from memory)."""
RENEW_DAYS = 30
CODE_BYTES, COOKIE_BYTES = 16, 32
CODE_S = 600.0
"""A pairing code is good for so long."""
LEAST_TOKEN = 22
"""Characters of a token that cannot be guessed: 16 bytes in base 64."""
MOST_WRONG = 10
"""Wrong codes until the present one is void: somebody tries them out."""
WRONG_WAIT_S = 1.0
COOKIE = "pneumachron_pair"
COOKIE_S = 180 * 86_400
PAIR_PATH = "/pair"
LOOPBACK = ("127.0.0.1", "::1")
OLD_NAME = "Paired with version 1"


def digest_of(cookie: str) -> str:
    """What is kept of a cookie."""
    return sha256(cookie.encode()).hexdigest()


class Pairing:
    """The present pairing code, and who is paired.

    Parameters
    ----------
    known : digests of cookies that are let in
    count : a steady count of seconds, for tests
    """

    def __init__(
        self, known: Iterable[str] = (), count: Callable[[], float] = time.monotonic
    ) -> None:
        self._known = set(known)
        self._used: dict[str, datetime] = {}
        self._count = count
        self._lock = Lock()
        self._wrong = 0
        self._code, self._until = "", 0.0

    def code(self) -> str:
        """The code that is good now; a new one when the last was used, or is too old."""
        with self._lock:
            if not self._code or self._count() >= self._until:
                self._code = secrets.token_urlsafe(CODE_BYTES)
                self._until = self._count() + CODE_S
            return self._code

    def take(self, code: str) -> bool:
        """Whether a code is good; it is void afterwards, and after too many wrong ones too."""
        with self._lock:
            good = bool(self._code) and self._count() < self._until
            good = compare_digest(code.encode(), self._code.encode()) and good
            self._wrong = 0 if good else self._wrong + 1
            if good or self._wrong >= MOST_WRONG:
                self._code, self._wrong = "", 0
            return good

    def is_paired(self, cookie: str) -> bool:
        """Whether a browser with this cookie is let in."""
        digest = digest_of(cookie)
        paired = bool(cookie) and digest in self._known
        if paired:
            self._used[digest] = datetime.now(UTC)
        return paired

    def let_in(self, digest: str) -> None:
        """A browser was paired."""
        self._known.add(digest)

    def shut_out(self, digest: str) -> None:
        """A browser was forgotten."""
        self._known.discard(digest)

    def take_used(self) -> dict[str, datetime]:
        """When browsers were seen since this was asked last, by digest."""
        used, self._used = self._used, {}
        return used


@dataclass(frozen=True, slots=True)
class Lan:
    """What a network needs to be answered."""

    address: str
    certificate: Path
    key: Path
    fingerprint: str
    """SHA-256 of the certificate, to compare with what the browser shows."""
    old_cookie: str | None
    """What browsers carry that version 1 paired, all the same one; None: there were none."""
    pairing: Pairing = field(default_factory=Pairing, compare=False)


def own_address() -> str:
    """The address of this machine on its network; its own when there is none."""
    with socket.socket(socket.AF_INET, socket.SOCK_DGRAM) as probe:
        try:
            # nothing is sent: the system only says which way it would go
            probe.connect(("192.0.2.1", 9))
            return str(probe.getsockname()[0])
        except OSError:
            return LOOPBACK[0]


def prepare(folder: Path, address: str) -> Lan:
    """Certificate and key in the data folder, for the user of the app alone.

    They are made when they are missing, old, of another address, or do not belong together.
    """
    place = folder / FOLDER
    make_private_folder(place)
    certificate, key, token = (place / name for name in ("cert.pem", "key.pem", "token"))
    if not _serves(certificate, address) or not _belongs(certificate, key):
        _make(certificate, key, address)
    found = x509.load_pem_x509_certificate(certificate.read_bytes())
    fingerprint = found.fingerprint(hashes.SHA256()).hex(":").upper()
    return Lan(address, certificate, key, fingerprint, _old_cookie(token))


def _old_cookie(file: Path) -> str | None:
    """The one cookie of version 1, from its token; a token that could be guessed lets nobody in."""
    try:
        token = file.read_text(encoding="utf-8").strip()
    except (OSError, UnicodeDecodeError):
        return None
    if len(token) < LEAST_TOKEN:
        return None
    return sha256(f"cookie {token}".encode()).hexdigest()


def _belongs(certificate: Path, key: Path) -> bool:
    """Whether the key is the one of the certificate."""
    try:
        secret = serialization.load_pem_private_key(key.read_bytes(), None)
        public = x509.load_pem_x509_certificate(certificate.read_bytes()).public_key()
    except (OSError, ValueError, TypeError):
        return False
    form = (serialization.Encoding.PEM, serialization.PublicFormat.SubjectPublicKeyInfo)
    return secret.public_key().public_bytes(*form) == public.public_bytes(*form)


def _serves(certificate: Path, address: str) -> bool:
    """Whether it is there, lasts, and is of this address."""
    try:
        found = x509.load_pem_x509_certificate(certificate.read_bytes())
        names = found.extensions.get_extension_for_class(x509.SubjectAlternativeName).value
    except (OSError, ValueError, x509.ExtensionNotFound):
        return False
    lasts = found.not_valid_after_utc > datetime.now(UTC) + timedelta(days=RENEW_DAYS)
    return lasts and ipaddress.ip_address(address) in names.get_values_for_type(x509.IPAddress)


def _make(certificate: Path, key: Path, address: str) -> None:
    secret = ec.generate_private_key(ec.SECP256R1())
    name = x509.Name([x509.NameAttribute(NameOID.COMMON_NAME, "Pneumachron kitchen")])
    now = datetime.now(UTC)
    addresses = dict.fromkeys((address, *LOOPBACK))
    made = (
        x509.CertificateBuilder()
        .subject_name(name)
        .issuer_name(name)
        .public_key(secret.public_key())
        .serial_number(x509.random_serial_number())
        .not_valid_before(now - timedelta(days=1))
        .not_valid_after(now + timedelta(days=VALID_DAYS - 1))
        .add_extension(
            x509.SubjectAlternativeName(
                [x509.DNSName("localhost")]
                + [x509.IPAddress(ipaddress.ip_address(item)) for item in addresses]
            ),
            critical=False,
        )
        .add_extension(x509.BasicConstraints(ca=False, path_length=None), critical=True)
        .sign(secret, hashes.SHA256())
    )
    write_whole(
        key,
        secret.private_bytes(
            serialization.Encoding.PEM,
            serialization.PrivateFormat.PKCS8,
            serialization.NoEncryption(),
        ),
    )
    write_whole(certificate, made.public_bytes(serialization.Encoding.PEM))


def open_doors(database: Database, lan: Lan) -> None:
    """Let in who is paired, those of version 1 too, unless they were forgotten since."""
    with database.session() as session:
        for device in devices.list_devices(session):
            lan.pairing.let_in(device.digest)
        old = None if lan.old_cookie is None else digest_of(lan.old_cookie)
        known = {device.digest for device in devices.list_devices(session)}
        known |= devices.forgotten_digests(session)
        if old is not None and old not in known:
            with writing(session):
                devices.add_device(session, OLD_NAME, old)
            lan.pairing.let_in(old)


def keep_uses(database: Database, lan: Lan) -> None:
    """Write down when devices were used last."""
    used = lan.pairing.take_used()
    if used:
        with database.writing() as session:
            devices.note_use(session, used)
