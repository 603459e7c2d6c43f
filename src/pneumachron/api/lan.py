"""The phone in the kitchen: https with a certificate of our own making, and a pairing token.

Nothing on the network gets an answer without the token; the machine itself needs none.
"""

import ipaddress
import os
import secrets
import socket
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from hashlib import sha256
from hmac import compare_digest
from pathlib import Path

from cryptography import x509
from cryptography.hazmat.primitives import hashes, serialization
from cryptography.hazmat.primitives.asymmetric import ec
from cryptography.x509.oid import NameOID

FOLDER = "lan"
VALID_DAYS = 397
"""Browsers take no longer ones. Published, CA/Browser Forum baseline requirements (from memory)."""
RENEW_DAYS = 30
TOKEN_BYTES = 16
COOKIE = "pneumachron_pair"
COOKIE_S = 180 * 86_400
PAIR_PATH = "/pair"
LOOPBACK = ("127.0.0.1", "::1")


@dataclass(frozen=True, slots=True)
class Lan:
    """What a network needs to be answered."""

    address: str
    certificate: Path
    key: Path
    token: str
    fingerprint: str
    """SHA-256 of the certificate, to compare with what the browser shows."""

    @property
    def cookie(self) -> str:
        """What a paired browser carries; the token itself stays out of it."""
        return sha256(f"cookie {self.token}".encode()).hexdigest()

    def is_token(self, found: str) -> bool:
        """Compared in the same time whatever is wrong with it."""
        return compare_digest(found.encode(), self.token.encode())

    def is_cookie(self, found: str) -> bool:
        """Whether a browser was paired with this token."""
        return compare_digest(found.encode(), self.cookie.encode())


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
    """Certificate and token in the data folder, for the user of the app alone.

    They are made when they are missing, old, or of another address.
    """
    place = folder / FOLDER
    place.mkdir(parents=True, exist_ok=True)
    certificate, key, token = (place / name for name in ("cert.pem", "key.pem", "token"))
    if not _serves(certificate, address) or not key.exists():
        _make(certificate, key, address)
    if not token.exists():
        _private(token, secrets.token_urlsafe(TOKEN_BYTES).encode())
    found = x509.load_pem_x509_certificate(certificate.read_bytes())
    fingerprint = found.fingerprint(hashes.SHA256()).hex(":").upper()
    return Lan(address, certificate, key, token.read_text().strip(), fingerprint)


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
    _private(
        key,
        secret.private_bytes(
            serialization.Encoding.PEM,
            serialization.PrivateFormat.PKCS8,
            serialization.NoEncryption(),
        ),
    )
    certificate.write_bytes(made.public_bytes(serialization.Encoding.PEM))


def _private(file: Path, content: bytes) -> None:
    """Written so that nobody else on the machine can read it, at no moment."""
    file.unlink(missing_ok=True)
    handle = os.open(file, os.O_WRONLY | os.O_CREAT | os.O_EXCL, 0o600)
    with os.fdopen(handle, "wb") as opened:
        opened.write(content)
