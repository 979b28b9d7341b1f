Hello,

somebody asked for a new password for your garden at Jolly Penny. Open this within an hour to set one:

{!! $link !!}

If it was not you, do nothing: your password stays as it is.
