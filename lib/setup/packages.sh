# shellcheck shell=bash
# Debian packages. Asks dpkg first, so it is quick when nothing is missing.
PACKAGES_TO_RUN="ruby ruby-dev bundler build-essential libpq-dev libyaml-dev libffi-dev libxml2-dev libxslt1-dev pkg-config zlib1g-dev postgresql curl"
# What the workshop works with: documents, pictures, sound, and the fonts documents most often ask for.
PACKAGES_TO_RUN="$PACKAGES_TO_RUN libreoffice-impress-nogui libreoffice-writer-nogui poppler-utils qpdf librsvg2-bin libvips-tools ffmpeg woff2 fontconfig fonts-dejavu-core fonts-liberation fonts-crosextra-carlito fonts-crosextra-caladea"
# Sound and picture of classes, and the address they go by.
PACKAGES_TO_RUN="$PACKAGES_TO_RUN janus janus-tools iproute2 util-linux"
PACKAGES_TO_TEST="chromium chromium-driver"

missing_packages() {
  for package in "$@"; do
    dpkg-query -W -f '${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || echo "$package"
  done
}

install_packages() {
  local missing
  missing=$(missing_packages "$@")
  # Node may come from Debian or from elsewhere; the build needs 20 or newer.
  command -v npm >/dev/null || missing="$missing nodejs npm"
  [ -n "${missing//[[:space:]]/}" ] || return 0
  say "Installing from Debian:" $missing
  # Whatever broke off half way is brought to its end first; others who install something are waited for.
  as_root env DEBIAN_FRONTEND=noninteractive dpkg --configure -a >var/packages.log 2>&1 || true
  as_root apt-get update -qq || fail "Debian's package lists could not be fetched. Check the network and start again."
  # The cluster is our own, in var/; Debian's default one is not wanted.
  as_root mkdir -p /etc/postgresql-common
  [ -e /etc/postgresql-common/createcluster.conf ] || echo 'create_main_cluster = false' | as_root tee /etc/postgresql-common/createcluster.conf >/dev/null
  # Nor is the media server as its package has it: open to everybody, run as root, with secrets that all know.
  case " $missing " in *"janus"*) as_root mkdir -p /etc/systemd/system && as_root ln -sfn /dev/null /etc/systemd/system/janus.service ;; esac
  # shellcheck disable=SC2086
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends --fix-broken \
    -o DPkg::Lock::Timeout=600 $missing >>var/packages.log 2>&1 ||
    { tail -5 var/packages.log; fail "Debian packages could not be installed; var/packages.log says why."; }
  case " $missing " in
    *"janus"*)
      as_root update-rc.d janus disable >/dev/null 2>&1 || true
      [ ! -d /run/systemd/system ] && [ -x /etc/init.d/janus ] && as_root /etc/init.d/janus stop >/dev/null 2>&1 || true
      ;;
  esac
}
