# Installs what the project needs and what is missing. Sourced, not run.

PACKAGES_RUN="postgresql-15 php8.2-cli php8.2-fpm php8.2-pgsql php8.2-mbstring php8.2-xml php8.2-intl php8.2-gd php8.2-curl php8.2-zip nginx libnginx-mod-nchan supervisor curl unzip openssl hostname poppler-utils ffmpeg fonts-dejavu-core"
PACKAGES_TEST="chromium"

installed() { dpkg-query -W -f '${Status}' "$1" 2>/dev/null | grep -q 'ok installed'; }

install_debian_packages() {
    local wanted=("$@") missing=() name
    command -v composer >/dev/null || wanted+=(composer)
    command -v node >/dev/null || wanted+=(nodejs)
    command -v npm >/dev/null || wanted+=(npm)
    for name in "${wanted[@]}"; do installed "$name" || missing+=("$name"); done
    [ ${#missing[@]} -gt 0 ] || return 0

    is_root || die "these Debian packages are missing and only root may install them. Run once: sudo apt-get install ${missing[*]}"
    say "Installing Debian packages: ${missing[*]}"
    need_room / 1500
    # Debian would start these on their usual ports; ours run under our own supervision.
    local policy=/usr/sbin/policy-rc.d made_policy=no
    [ -e $policy ] || { printf '#!/bin/sh\nexit 101\n' >$policy; chmod +x $policy; made_policy=yes; }
    local log=/tmp/rhetorix-apt.log ok=yes
    { apt-get update -qq && apt-get install -y -qq --no-install-recommends "${missing[@]}"; } >$log 2>&1 </dev/null || ok=no
    [ $made_policy = no ] || rm -f $policy
    [ $ok = yes ] || { tail -5 $log >&2; die "apt-get could not install them; its last lines are above, all of it is in $log."; }
}

# Runs an installer only when the file that it reads has changed since the last time.
when_changed() {
    local stamp=$1 sum; shift
    sum=$(cat "$1" | sha256sum | cut -d' ' -f1); shift
    [ "$(cat "$stamp" 2>/dev/null)" = "$sum" ] && return 0
    "$@"
    printf '%s' "$sum" >"$stamp"
}

install_composer_packages() {
    say "Installing Composer packages"
    composer update --no-interaction --no-progress --working-dir="$ROOT" >/tmp/rhetorix-composer.log 2>&1 </dev/null \
        || { tail -15 /tmp/rhetorix-composer.log >&2; die "Composer could not install the PHP packages; its last lines are above."; }
    # Some archives unpack closed to others, and the web server's user must read them.
    chmod -R a+rX "$ROOT/vendor"
}

install_npm_packages() {
    say "Installing npm packages"
    (cd "$ROOT" && npm install >/tmp/rhetorix-npm.log 2>&1 </dev/null) \
        || { tail -15 /tmp/rhetorix-npm.log >&2; die "npm could not install the packages; its last lines are above."; }
}

build_assets() {
    local stamp="$ROOT/public/build/.made-from" sum
    sum=$(cd "$ROOT" && find resources/js resources/css resources/views standins package.json vite.config.ts -type f -print0 | sort -z | xargs -0 cat | sha256sum | cut -d' ' -f1)
    [ "$(cat "$stamp" 2>/dev/null)" = "$sum" ] && return 0
    say "Building styles and scripts"
    (cd "$ROOT" && npx --no-install vite build >/tmp/rhetorix-vite.log 2>&1) \
        || { tail -15 /tmp/rhetorix-vite.log >&2; die "styles and scripts could not be built; the last lines are above."; }
    # What a PDF may need and does not bring along.
    mkdir -p "$ROOT/public/build/pdf"
    cp -r "$ROOT"/node_modules/pdfjs-dist/{standard_fonts,cmaps,wasm,iccs} "$ROOT/public/build/pdf/"
    printf '%s' "$sum" >"$stamp"
}

# Once nchan is loaded, nginx wants to make this folder whatever the configuration says; only root can.
make_nginx_folder() {
    [ -d /var/lib/nginx/body ] && return 0
    is_root || die "the folder /var/lib/nginx/body is missing and only root may make it. Run once: sudo mkdir -p /var/lib/nginx/body"
    install -d -o www-data -g www-data /var/lib/nginx/body
}

# $1: "run" for what serving needs, "test" for the browser and media tools too.
install_everything() {
    # shellcheck disable=SC2086
    if [ "$1" = test ]; then install_debian_packages $PACKAGES_RUN $PACKAGES_TEST; else install_debian_packages $PACKAGES_RUN; fi
    make_nginx_folder
    [ -w "$ROOT" ] || [ -d "$ROOT/vendor" ] || die "$(id -un) may not write into $ROOT. Change its owner, or start as the one who owns it."
    mkdir -p "$ROOT/vendor" "$ROOT/node_modules"
    when_changed "$ROOT/vendor/.installed-from" "$ROOT/composer.json" install_composer_packages
    when_changed "$ROOT/node_modules/.installed-from" "$ROOT/package.json" install_npm_packages
    build_assets
}
