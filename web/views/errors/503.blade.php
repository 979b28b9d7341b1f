@extends('plain')
@section('title', 'Back in a moment')
@section('content')
  <p>Jolly Penny is being looked after. Try again in a minute.</p>
@endsection
