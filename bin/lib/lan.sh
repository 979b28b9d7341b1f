# HTTPS in the local network, with a certificate made here: phones keep an application only over HTTPS. To be sourced by machine.sh.
# shellcheck shell=bash

lan_dir() { echo "$VAR/$1/lan"; }
lan_port() { cat "$(lan_dir "$1")/port" 2>/dev/null; }

# lan_names: the addresses and names by which this machine is known in the local network.
lan_names() {
  hostname -I 2>/dev/null | tr ' ' '\n' | grep -E '^[0-9.]+$'
  local name; name=$(hostname 2>/dev/null)
  [ -z "$name" ] || [ "$name" = localhost ] || printf '%s\n%s.local\n' "$name" "${name%.local}"
}

# open_lan INSTANCE: makes the certificate, anew where the machine's addresses have changed. The authority's key never leaves its
# folder, which only its owner can read.
open_lan() {
  local dir names; dir=$(lan_dir "$1")
  install_packages mkcert
  mapfile -t names < <(lan_names)
  [ "${#names[@]}" -gt 0 ] || { echo "This machine has no address in a local network." >&2; return 1; }
  (umask 077; mkdir -p "$dir/authority")
  [ -f "$dir/port" ] || free_port 8443 >"$dir/port"
  managed_setting "$1" JOLLY_LAN_HOSTS "$(IFS=,; echo "${names[*]}")"
  if [ ! -f "$dir/cert.pem" ] || [ "$(cat "$dir/names" 2>/dev/null)" != "${names[*]}" ]; then
    (umask 077; step "making the certificate" "$VAR/log/lan.log" env CAROOT="$dir/authority" \
      mkcert -cert-file "$dir/cert.pem" -key-file "$dir/key.pem" "${names[@]}") || return 1
    echo "${names[*]}" >"$dir/names"
  fi
  mkdir -p "$dir/trust"
  cp "$dir/authority/rootCA.pem" "$dir/trust/jolly-penny.crt"
  trust_page "$1" >"$dir/trust/index.html"
  if is_root; then chgrp "$(web_group)" "$dir" && chmod 710 "$dir"; fi
  chmod 755 "$dir/trust" && chmod 644 "$dir/trust"/*
}

close_lan() { rm -rf "$(lan_dir "$1")"; managed_setting "$1" JOLLY_LAN_HOSTS ''; }

lan_print() { openssl x509 -in "$(lan_dir "$1")/trust/jolly-penny.crt" -noout -fingerprint -sha256 | sed 's/.*=//'; }

# trust_page INSTANCE: what a phone is shown that comes without HTTPS.
trust_page() {
  cat <<HTML
<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>Let this phone trust Jolly Penny</title>
<style>body{font:18px/1.5 sans-serif;max-width:36rem;margin:1.5rem auto;padding:0 1rem;background:#f4f7f5;color:#14231c}
code{word-break:break-all}</style></head><body>
<h1>Let this phone trust Jolly Penny</h1>
<p>Once, so that it opens without a warning and works without signal. Only do this in your own network, with a machine of your own.</p>
<ol>
<li><a href="/jolly-penny.crt">Take the certificate</a> and compare its SHA-256 mark with the one <code>bin/start</code> printed:<br>
<code>$(lan_print "$1")</code></li>
<li>Android: Settings, search "certificate", install a <b>CA certificate</b>, choose the file. iPhone or iPad: Settings, <b>Profile downloaded</b>,
install; then General, About, <b>Certificate trust settings</b>, switch it on.</li>
<li><a id="go" href="https://$(lan_names | head -n 1):$(lan_port "$1")/">Open Jolly Penny</a>, and add it to the home screen.</li>
</ol>
<p>To take it back: delete that certificate in the same settings.</p>
</body></html>
HTML
}

# lan_server INSTANCE CODE DIR: nginx's server for the local network, where it is opened to it. Who comes without HTTPS is told how.
lan_server() {
  local dir port; dir=$(lan_dir "$1"); port=$(lan_port "$1") || return 0
  cat <<CONF
  server {
    listen $port ssl;
    root $2/public;
    index index.php;
    ssl_certificate $dir/cert.pem;
    ssl_certificate_key $dir/key.pem;
    ssl_protocols TLSv1.2 TLSv1.3;
    # The name may serve other things too, which have no HTTPS.
    fastcgi_hide_header Strict-Transport-Security;
    error_page 497 =200 @trust;
    location @trust { root $dir/trust; types { application/x-x509-ca-cert crt; text/html html; } try_files \$uri /index.html =404; }
$(locations "$3")
  }
CONF
}
