@extends('plain')
@section('title', 'The page is too old')
@section('content')
  <p>Reload it; what you typed is kept.</p>
@endsection
